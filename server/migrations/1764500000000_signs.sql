-- Up Migration

-- All that a team signals with, sealed: the key of the team opens it, and a key that is not in this database
-- opens that one.
create table sign_books (
  team_id uuid not null default app_team(),
  -- Which of the server's keys wraps the team's.
  key_id text not null,
  wrapped_key bytea not null,
  sealed bytea not null,
  version integer not null,
  constraint sign_books__team_id primary key (team_id),
  constraint sign_books__team foreign key (team_id) references teams (id)
);
alter table sign_books enable row level security;
create policy own_sign_books on sign_books to bradyon_app using (team_id = app_team());
grant select, insert on sign_books to bradyon_app;
grant update (key_id, wrapped_key, sealed, version) on sign_books to bradyon_app;

-- How players took signs. Names plays, and no touch.
create table sign_answers (
  team_id uuid not null default app_team(),
  seq bigint generated always as identity,
  id uuid not null,
  person_id uuid not null,
  meant text,
  answered text,
  seconds numeric(5, 2) not null,
  taken_at timestamptz not null,
  constraint sign_answers__team_id_id primary key (team_id, id),
  constraint sign_answers__person_id foreign key (team_id, person_id)
    references people (team_id, id) on delete cascade,
  constraint sign_answers__seconds check (seconds between 0 and 60)
);
create index sign_answers_seq on sign_answers (team_id, seq);
create index sign_answers_person on sign_answers (team_id, person_id);
alter table sign_answers enable row level security;
create policy own_sign_answers on sign_answers to bradyon_app using (team_id = app_team());
grant select, insert on sign_answers to bradyon_app;

-- A code opens the drills of one player on a phone, without an account.
create table drill_passes (
  team_id uuid not null default app_team(),
  id uuid not null,
  person_id uuid not null,
  code_hash bytea not null,
  expires_at timestamptz not null,
  constraint drill_passes__team_id_id primary key (team_id, id),
  constraint drill_passes__code_hash unique (code_hash),
  constraint drill_passes__person_id foreign key (team_id, person_id)
    references people (team_id, id) on delete cascade
);
create index drill_passes_person on drill_passes (team_id, person_id);
alter table drill_passes enable row level security;
create policy own_drill_passes on drill_passes to bradyon_app using (team_id = app_team());
grant select (team_id, id, person_id, expires_at), insert, delete on drill_passes to bradyon_app;

create function app_drill_person() returns uuid
  language sql stable as $$ select nullif(current_setting('app.drill_person_id', true), '')::uuid $$;

-- Comes in by a player's code: the team is in scope, and of it only that player, their answers and the signs.
create function enter_drill(asked_code_hash bytea) returns uuid
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  pass record;
begin
  select p.team_id, p.person_id into pass from drill_passes p
    where p.code_hash = asked_code_hash and p.expires_at > now();
  perform set_config('app.account_id', '', true);
  perform set_config('app.team_id', coalesce(pass.team_id::text, ''), true);
  perform set_config('app.drill_person_id', coalesce(pass.person_id::text, ''), true);
  -- No game: whatever is closed to the guest of a game is closed here too.
  perform set_config('app.pass_game_id', '00000000-0000-0000-0000-000000000000', true);
  return pass.person_id;
end
$$;
revoke execute on function enter_drill from public;
grant execute on function enter_drill to bradyon_app;

create function drill_title() returns table (team text, player text)
  language sql stable security definer set search_path = public, pg_temp as
$$
  select t.name, p.name from people p join teams t on t.id = p.team_id
  where p.team_id = app_team() and p.id = app_drill_person()
$$;
revoke execute on function drill_title from public;
grant execute on function drill_title to bradyon_app;

-- Guests of a game give no signs; who drills sees the signs, and the answers that are theirs.
create policy no_guests on drill_passes as restrictive to bradyon_app using (app_pass_game() is null);
create policy no_guests on sign_books as restrictive to bradyon_app
  using (app_pass_game() is null or app_drill_person() is not null);
create policy own_person on sign_answers as restrictive to bradyon_app
  using (app_pass_game() is null or person_id = app_drill_person());
create policy no_drills on teams as restrictive to bradyon_app using (app_drill_person() is null);
create policy no_drills on accounts as restrictive to bradyon_app using (app_drill_person() is null);
create policy no_drills on game_guests as restrictive to bradyon_app
  using (app_drill_person() is null);
create policy no_drills on reminders as restrictive to bradyon_app using (app_drill_person() is null);
create policy no_drills on reading_marks as restrictive to bradyon_app
  using (app_drill_person() is null);
create policy no_drills on gone_readings as restrictive to bradyon_app
  using (app_drill_person() is null);

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
  delete from drill_passes where team_id = app_team();
  delete from sign_answers where team_id = app_team();
  delete from sign_books where team_id = app_team();
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
