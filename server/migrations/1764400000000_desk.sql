-- Up Migration

-- What a team says in its games: changes to what is shipped, and its own.
create table reminders (
  team_id uuid not null default app_team(),
  changes jsonb not null,
  version integer not null,
  constraint reminders__team_id primary key (team_id),
  constraint reminders__team foreign key (team_id) references teams (id)
);
alter table reminders enable row level security;
create policy own_reminders on reminders to bradyon_app using (team_id = app_team());
grant select, insert on reminders to bradyon_app;
grant update (changes, version) on reminders to bradyon_app;

-- Which devices follow a game, and how far each of them is.
create table game_devices (
  team_id uuid not null default app_team(),
  game_id uuid not null,
  device text not null,
  place text not null,
  account_id uuid not null default app_account(),
  name text not null,
  last_seq integer not null,
  seen_at timestamptz not null default now(),
  constraint game_devices__key primary key (team_id, game_id, device),
  constraint game_devices__game_id foreign key (team_id, game_id)
    references games (team_id, id) on delete cascade,
  constraint game_devices__place check (place in ('bench', 'third', 'first', 'stands'))
);
alter table game_devices enable row level security;
create policy own_game_devices on game_devices to bradyon_app using (team_id = app_team());
grant select, insert, delete on game_devices to bradyon_app;
grant update (place, account_id, name, last_seq, seen_at) on game_devices to bradyon_app;

-- A code opens one place of one game on a phone, without an account.
create table game_passes (
  team_id uuid not null default app_team(),
  id uuid not null,
  game_id uuid not null,
  place text not null,
  code_hash bytea not null,
  expires_at timestamptz not null,
  constraint game_passes__team_id_id primary key (team_id, id),
  constraint game_passes__code_hash unique (code_hash),
  constraint game_passes__game_id foreign key (team_id, game_id)
    references games (team_id, id) on delete cascade,
  constraint game_passes__place check (place in ('third', 'first', 'stands'))
);
alter table game_passes enable row level security;
create policy own_game_passes on game_passes to bradyon_app using (team_id = app_team());
grant select (team_id, id, game_id, place, expires_at), insert, delete on game_passes to bradyon_app;

-- Whoever came in by a code. The account is made for it, has no password and belongs to no team.
create table game_guests (
  team_id uuid not null,
  account_id uuid not null,
  pass_id uuid not null,
  constraint game_guests__team_id_account_id primary key (team_id, account_id),
  constraint game_guests__account foreign key (account_id) references accounts (id),
  constraint game_guests__pass_id foreign key (team_id, pass_id)
    references game_passes (team_id, id) on delete cascade
);
create index game_guests_pass on game_guests (team_id, pass_id);
-- Asked before the team is known.
create index game_guests_account on game_guests (account_id);
alter table game_guests enable row level security;
create policy own_game_guests on game_guests to bradyon_app using (team_id = app_team());

create function app_pass_game() returns uuid
  language sql stable as $$ select nullif(current_setting('app.pass_game_id', true), '')::uuid $$;

-- The pass of an account that came in by a code, as long as it holds.
create function pass_of(asked_account uuid)
  returns table (team_id uuid, game_id uuid, place text, expires_at timestamptz)
  language sql stable security definer set search_path = public, pg_temp as
$$
  select p.team_id, p.game_id, p.place, p.expires_at
  from game_guests g join game_passes p on p.team_id = g.team_id and p.id = g.pass_id
  where g.account_id = asked_account and p.expires_at > now()
$$;

-- Lets a new account in by a code; null: the code opens nothing.
create function redeem_pass(new_account uuid, asked_code_hash bytea) returns uuid
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  pass record;
begin
  select p.team_id, p.id, p.place into pass from game_passes p
    where p.code_hash = asked_code_hash and p.expires_at > now();
  if not found then
    return null;
  end if;
  insert into accounts (id, email, name, password_hash)
    values (
      new_account, new_account::text || '@pass.invalid',
      case pass.place when 'first' then 'First base' when 'third' then 'Third base' else 'Stands' end || ' guest',
      '');
  insert into game_guests (team_id, account_id, pass_id) values (pass.team_id, new_account, pass.id);
  return pass.team_id;
end
$$;

-- Accounts whose pass is over are of no use to anybody.
create function sweep_guests() returns void
  language sql security definer set search_path = public, pg_temp as
$$
  delete from game_passes where expires_at < now() - interval '1 day';
  delete from accounts a
    where a.email like '%@pass.invalid'
      and not exists (select 1 from game_guests g where g.account_id = a.id);
$$;

create or replace function enter_team(asked_account uuid, asked_team uuid) returns text
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  held_role text;
  pass_game uuid;
begin
  select role into held_role from memberships
    where team_id = asked_team and account_id = asked_account;
  if held_role is null then
    select p.game_id into pass_game from pass_of(asked_account) p where p.team_id = asked_team;
    if pass_game is not null then
      held_role := 'guest';
    end if;
  end if;
  perform set_config('app.account_id', asked_account::text, true);
  perform set_config('app.team_id', case when held_role is null then '' else asked_team::text end, true);
  perform set_config('app.pass_game_id', coalesce(pass_game::text, ''), true);
  return held_role;
end
$$;

-- Everybody of the lineups of the game in scope.
create function pass_people() returns setof uuid
  language sql stable security definer set search_path = public, pg_temp as
$$
  select distinct value::uuid
  from game_entries e,
    lateral jsonb_path_query(e.told, '$.*.**.id') as found,
    lateral (select found #>> '{}' as value) as text_of
  where e.team_id = app_team() and e.game_id = app_pass_game() and e.kind = 'opened'
    and value ~ '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$'
  union
  select value::uuid
  from game_entries e,
    lateral jsonb_path_query(e.told, '$.*.bench[*]') as found,
    lateral (select found #>> '{}' as value) as text_of
  where e.team_id = app_team() and e.game_id = app_pass_game() and e.kind = 'opened'
    and value ~ '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$'
$$;

-- How many came in by a pass of the team in scope.
create function guests_of(asked_pass uuid) returns integer
  language sql stable security definer set search_path = public, pg_temp as
$$ select count(*)::integer from game_guests where team_id = app_team() and pass_id = asked_pass $$;

create function pass_opponent() returns uuid
  language sql stable security definer set search_path = public, pg_temp as
$$ select opponent_id from games where team_id = app_team() and id = app_pass_game() $$;

revoke execute on function pass_of, redeem_pass, sweep_guests, pass_people, pass_opponent, guests_of from public;
grant execute on function pass_of, redeem_pass, sweep_guests, pass_people, pass_opponent, guests_of to bradyon_app;

-- A guest sees the game, who is in it and their times, and nothing else of the team.
do $$
declare
  each_table text;
begin
  for each_table in
    select c.relname from pg_class c join pg_namespace n on n.oid = c.relnamespace
    where n.nspname = 'public' and c.relkind = 'r' and c.relrowsecurity
      and c.relname not in (
        'accounts', 'teams', 'game_guests',
        'games', 'game_entries', 'game_devices', 'people', 'opponents', 'readings', 'reading_marks',
        'gone_readings', 'reminders')
  loop
    execute format(
      'create policy no_guests on %I as restrictive to bradyon_app using (app_pass_game() is null)',
      each_table);
  end loop;
end
$$;
create policy guests_game on games as restrictive to bradyon_app
  using (app_pass_game() is null or id = app_pass_game());
create policy guests_entries on game_entries as restrictive to bradyon_app
  using (app_pass_game() is null or game_id = app_pass_game());
create policy guests_devices on game_devices as restrictive to bradyon_app
  using (app_pass_game() is null or game_id = app_pass_game());
create policy guests_people on people as restrictive to bradyon_app
  using (app_pass_game() is null or id in (select pass_people()));
create policy guests_opponent on opponents as restrictive to bradyon_app
  using (app_pass_game() is null or id = (select pass_opponent()));
create policy guests_readings on readings as restrictive to bradyon_app
  using (app_pass_game() is null or person_id in (select pass_people()));

create or replace function erase_team() returns void
  language plpgsql security definer set search_path = public, pg_temp as
$$
begin
  if not exists (
    select 1 from memberships
    where team_id = app_team() and account_id = app_account() and role = 'owner'
  ) then
    raise exception 'only the owner of the team erases it';
  end if;
  delete from reminders where team_id = app_team();
  delete from game_passes where team_id = app_team();
  delete from game_devices where team_id = app_team();
  delete from game_entries where team_id = app_team();
  delete from games where team_id = app_team();
  delete from batting_order where team_id = app_team();
  delete from batting_order_versions where team_id = app_team();
  delete from batting_totals where team_id = app_team();
  delete from test_dives where team_id = app_team();
  delete from together_times where team_id = app_team();
  delete from together where team_id = app_team();
  delete from gate_runs where team_id = app_team();
  delete from gate_devices where team_id = app_team();
  delete from readings where team_id = app_team();
  delete from gone_readings where team_id = app_team();
  delete from reading_marks where team_id = app_team();
  delete from people where team_id = app_team();
  delete from opponents where team_id = app_team();
  delete from invites where team_id = app_team();
  delete from removed_members where team_id = app_team();
  delete from memberships where team_id = app_team();
  delete from teams where id = app_team();
end
$$;

-- Takes entries in behind a game's last one, in their order, in one call: a device on a field's network waits
-- for one answer, not for six. Runs as whoever calls it, so that row-level security holds inside too.
create function take_entries(
  asked_account uuid, asked_team uuid, asked_game uuid, most integer, drafts jsonb
) returns jsonb
  language plpgsql set search_path = public, pg_temp
  -- By the index, however young the statistics are.
  set enable_seqscan = off set enable_hashjoin = off set enable_mergejoin = off as
$$
declare
  held_role text := enter_team(asked_account, asked_team);
  pass_place text;
  before integer;
  added integer;
  answers jsonb;
begin
  if held_role is null then
    return jsonb_build_object('refused', 'team');
  end if;
  if held_role = 'guest' then
    select place into pass_place from pass_of(asked_account);
    -- Lineups, the book set by hand and how a game ends are the staff's to tell.
    if exists (
      select 1 from jsonb_to_recordset(drafts) as d(place text, kind text)
      where d.place is distinct from pass_place
        or d.kind in ('opened', 'correction', 'ended', 'halfEnded', 'sub', 'settle')
    ) then
      return jsonb_build_object('refused', 'place');
    end if;
  end if;
  -- This row is held to the end: no other game waits.
  select last_seq into before from games where id = asked_game for update;
  if not found then
    return jsonb_build_object('refused', 'game');
  end if;
  with told as (
    select * from rows from (jsonb_to_recordset(drafts) as (
      id uuid, device text, place text, at timestamptz, slot text, kind text, told jsonb))
      with ordinality as d(id, device, place, at, slot, kind, told, nth)
  ), kept as (
    select e.* from game_entries e
    where e.game_id = asked_game and e.id = any (array(select t.id from told t))
  ), fresh as (
    select f.*, before + row_number() over (order by f.nth) as seq
    from (
      select distinct on (t.id) t.* from told t
      where not exists (select 1 from kept k where k.id = t.id)
      order by t.id, t.nth
    ) f
  ), put_in as (
    insert into game_entries (game_id, seq, id, device, place, at, slot, kind, told)
      select asked_game, seq, id, device, place, at, slot, kind, told from fresh
  )
  select
    (select count(*) from fresh),
    jsonb_agg(jsonb_build_object(
      'seq', coalesce(k.seq, f.seq),
      -- Another telling under the same id is told so; the first one stands.
      'same', (t.device, t.place, t.at, t.slot, t.kind, t.told) = (
        coalesce(k.device, f.device), coalesce(k.place, f.place), coalesce(k.at, f.at),
        coalesce(k.slot, f.slot), coalesce(k.kind, f.kind), coalesce(k.told, f.told))
    ) order by t.nth)
    into added, answers
  from told t left join kept k on k.id = t.id left join fresh f on f.id = t.id;
  if before + added > most then
    raise exception using errcode = '23514', constraint = 'game_entries__most';
  end if;
  if added > 0 then
    update games set last_seq = before + added where id = asked_game;
    perform pg_notify('bradyon_games',
      asked_team::text || ' ' || asked_game::text || ' ' || (before + added)::text);
  end if;
  return jsonb_build_object('answers', answers);
end
$$;
