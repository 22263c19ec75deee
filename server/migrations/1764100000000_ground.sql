-- Up Migration

-- Whose days a team's days are; null: those of whichever device asks.
alter table teams add column time_zone text;
grant update (time_zone) on teams to bradyon_app;

-- A record that is replaced as a whole says which state of it this is: a change made from an older
-- one is refused instead of putting the older one back.
alter table teams add column version integer not null default 1;
alter table opponents add column version integer not null default 1;
alter table people add column version integer not null default 1;
alter table batting_totals add column version integer not null default 1;
grant update (version) on teams, opponents, people, batting_totals to bradyon_app;
create table batting_order_versions (
  team_id uuid not null default app_team(),
  version integer not null,
  constraint batting_order_versions__team_id primary key (team_id),
  constraint batting_order_versions__team foreign key (team_id) references teams (id)
);
insert into batting_order_versions (team_id, version) select distinct team_id, 1 from batting_order;
alter table batting_order_versions enable row level security;
create policy own_batting_order_versions on batting_order_versions to bradyon_app
  using (team_id = app_team());
grant select, insert on batting_order_versions to bradyon_app;
grant update (version) on batting_order_versions to bradyon_app;

-- As fine as what is sent, so that what is sent again is what was kept.
alter table readings
  alter column lead_feet type numeric(5, 2),
  alter column resolution_seconds type numeric(9, 6);
alter table people alter column lead_feet type numeric(5, 2);
alter table test_dives alter column lead_feet type numeric(5, 2);

-- What is new of a team's readings since a mark. Whoever writes takes the next marks of the team and
-- holds its row until the end, so that marks become visible in their order and none is passed over.
create table reading_marks (
  team_id uuid not null default app_team(),
  last bigint not null,
  constraint reading_marks__team_id primary key (team_id),
  constraint reading_marks__team foreign key (team_id) references teams (id)
);
alter table reading_marks enable row level security;
create policy own_reading_marks on reading_marks to bradyon_app using (team_id = app_team());
grant select, insert on reading_marks to bradyon_app;
grant update (last) on reading_marks to bradyon_app;

alter table readings add column mark bigint;
update readings r set mark = numbered.nth
  from (select team_id, id,
               row_number() over (partition by team_id order by recorded_at, taken_at, id) as nth
        from readings) numbered
  where numbered.team_id = r.team_id and numbered.id = r.id;
insert into reading_marks (team_id, last) select team_id, max(mark) from readings group by team_id;
alter table readings alter column mark set not null;
create unique index readings__team_id_mark on readings (team_id, mark);
-- Without it every reading that goes asks the whole table who was moved from it.
create index readings_moved_from on readings (team_id, moved_from);
grant update (mark) on readings to bradyon_app;
grant delete on readings to bradyon_app;

-- Readings that are gone for good: other devices learn of it, and a tap sent again does not bring one back.
create table gone_readings (
  team_id uuid not null default app_team(),
  id uuid not null,
  mark bigint not null,
  constraint gone_readings__team_id_id primary key (team_id, id),
  constraint gone_readings__team foreign key (team_id) references teams (id)
);
create index gone_readings_mark on gone_readings (team_id, mark);
alter table gone_readings enable row level security;
create policy own_gone_readings on gone_readings to bradyon_app using (team_id = app_team());
grant select, insert on gone_readings to bradyon_app;

-- Takes the next marks of the team in scope. Returns the one before them.
create function take_marks(how_many integer) returns bigint
  language sql volatile set search_path = public, pg_temp as
$$
  insert into reading_marks (team_id, last) values (app_team(), how_many)
    on conflict on constraint reading_marks__team_id
      do update set last = reading_marks.last + how_many
    returning last - how_many
$$;

-- An invitation is for one person unless it says otherwise, and whoever was taken off the staff needs
-- one that was made since.
alter table invites
  add column many boolean not null default false,
  add column created_at timestamptz not null default now();
grant select (many, created_at) on invites to bradyon_app;
create table removed_members (
  team_id uuid not null default app_team(),
  account_id uuid not null,
  removed_at timestamptz not null default now(),
  constraint removed_members__team_id_account_id primary key (team_id, account_id),
  constraint removed_members__team foreign key (team_id) references teams (id)
);
alter table removed_members enable row level security;
create policy own_removed_members on removed_members to bradyon_app using (team_id = app_team());
grant select, insert on removed_members to bradyon_app;
grant update (removed_at) on removed_members to bradyon_app;

create or replace function redeem_invite(asked_account uuid, asked_code_hash bytea) returns uuid
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  invite record;
begin
  -- Of two who use one code at once, the second waits here and then finds it used up.
  select i.team_id, i.id, i.many into invite from invites i
    where i.code_hash = asked_code_hash and i.expires_at > now()
      and not exists (
        select 1 from removed_members r
        where r.team_id = i.team_id and r.account_id = asked_account and r.removed_at >= i.created_at
      )
    for update;
  if not found then
    return null;
  end if;
  if exists (
    select 1 from memberships m where m.team_id = invite.team_id and m.account_id = asked_account
  ) then
    return invite.team_id;
  end if;
  insert into memberships (team_id, account_id, role)
    values (invite.team_id, asked_account, 'assistant')
    on conflict do nothing;
  if not invite.many then
    delete from invites where team_id = invite.team_id and id = invite.id;
  end if;
  return invite.team_id;
end
$$;

-- A forgotten password: there is no mail, so the owner of the team hands a code over, once.
create table password_resets (
  account_id uuid not null,
  code_hash bytea not null,
  expires_at timestamptz not null default now() + interval '1 day',
  constraint password_resets__account_id primary key (account_id),
  constraint password_resets__account foreign key (account_id) references accounts (id) on delete cascade
);
alter table password_resets enable row level security;

-- False when the caller is not the owner of every team this account is on: a code opens all of them.
create function open_reset(asked_account uuid, asked_code_hash bytea) returns boolean
  language plpgsql security definer set search_path = public, pg_temp as
$$
begin
  if asked_account = app_account() or not exists (
    select 1 from memberships where team_id = app_team() and account_id = asked_account
  ) or exists (
    select 1 from memberships m
    where m.account_id = asked_account and not exists (
      select 1 from memberships o
      where o.team_id = m.team_id and o.account_id = app_account() and o.role = 'owner'
    )
  ) then
    return false;
  end if;
  insert into password_resets (account_id, code_hash) values (asked_account, asked_code_hash)
    on conflict on constraint password_resets__account_id
      do update set code_hash = excluded.code_hash, expires_at = excluded.expires_at;
  return true;
end
$$;

-- Uses a code up and sets the password. Null: no such code for this address.
create function reset_password(asked_email text, asked_code_hash bytea, new_hash text) returns uuid
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  found_account uuid;
begin
  delete from password_resets r using accounts a
    where a.id = r.account_id and a.email = asked_email
      and r.code_hash = asked_code_hash and r.expires_at > now()
    returning a.id into found_account;
  update accounts set password_hash = new_hash where id = found_account;
  return found_account;
end
$$;

create function own_password() returns text
  language sql stable security definer set search_path = public, pg_temp as
$$ select password_hash from accounts where id = app_account() $$;
grant update (password_hash) on accounts to bradyon_app;

-- What one coach leaves behind when the account goes: the times stay with the team, under no name.
alter table readings drop constraint readings__aside_by;
alter table teams drop constraint teams__created_by;
create index sessions_account on sessions ((sess ->> 'accountId'));

-- Removes the account in scope. False while it owns a team: that would be left without anybody.
create function erase_account() returns boolean
  language plpgsql security definer set search_path = public, pg_temp as
$$
begin
  if exists (select 1 from memberships where account_id = app_account() and role = 'owner') then
    return false;
  end if;
  delete from memberships where account_id = app_account();
  delete from thumb_reps where account_id = app_account();
  delete from team_imports where account_id = app_account();
  delete from sessions where sess ->> 'accountId' = app_account()::text;
  delete from accounts where id = app_account();
  return true;
end
$$;

-- Removes the team in scope with everything in it, for good; for its owner only.
create function erase_team() returns void
  language plpgsql security definer set search_path = public, pg_temp as
$$
begin
  if not exists (
    select 1 from memberships
    where team_id = app_team() and account_id = app_account() and role = 'owner'
  ) then
    raise exception 'only the owner of the team erases it';
  end if;
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

-- Removes a person and everything timed of them, for good; for the owner of the team in scope only.
create or replace function erase_person(asked_person uuid) returns boolean
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  before bigint;
  gone integer;
begin
  if not exists (
    select 1 from memberships
    where team_id = app_team() and account_id = app_account() and role = 'owner'
  ) then
    raise exception 'only the owner of the team erases';
  end if;
  -- The marks first, as everybody who writes readings takes them.
  perform take_marks(0);
  select take_marks(count(*)::integer) into before
    from readings where team_id = app_team() and person_id = asked_person;
  with deleted as (
    delete from readings where team_id = app_team() and person_id = asked_person returning id
  )
  insert into gone_readings (team_id, id, mark)
    select app_team(), id, before + row_number() over (order by id) from deleted;
  delete from gate_runs where team_id = app_team() and person_id = asked_person;
  delete from test_dives where team_id = app_team() and person_id = asked_person;
  delete from people where team_id = app_team() and id = asked_person;
  get diagnostics gone = row_count;
  return gone = 1;
end
$$;

-- How far a file has come in, for the coach who waits for it.
create table team_imports (
  account_id uuid not null default app_account(),
  id uuid not null,
  stage text not null,
  done integer not null,
  of integer not null,
  updated_at timestamptz not null default now(),
  constraint team_imports__account_id_id primary key (account_id, id),
  constraint team_imports__account foreign key (account_id) references accounts (id)
);
alter table team_imports enable row level security;
create policy own_team_imports on team_imports to bradyon_app using (account_id = app_account());
grant select, insert, delete on team_imports to bradyon_app;
grant update (stage, done, of, updated_at) on team_imports to bradyon_app;

revoke execute on function open_reset, reset_password, own_password, erase_account, erase_team
  from public;
grant execute on function open_reset, reset_password, own_password, erase_account, erase_team
  to bradyon_app;
