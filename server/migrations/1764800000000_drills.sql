-- Up Migration

-- Repetitions of the drills: a start, a read, a leave, a landing, a send. What each is of is told in core/drills. A
-- wrong tap is undone by a row of its own. Without a person: a coach who trains.
create table drill_reps (
  team_id uuid not null default app_team(),
  seq bigint generated always as identity,
  id uuid not null,
  person_id uuid,
  undoes uuid,
  rep jsonb not null,
  taken_at timestamptz not null,
  constraint drill_reps__team_id_id primary key (team_id, id),
  constraint drill_reps__person_id foreign key (team_id, person_id)
    references people (team_id, id) on delete cascade
);
create index drill_reps_seq on drill_reps (team_id, seq);
create index drill_reps_person on drill_reps (team_id, person_id);
alter table drill_reps enable row level security;
create policy own_drill_reps on drill_reps to bradyon_app using (team_id = app_team());
-- Guests of a game see none; who drills by a code adds and sees their own.
create policy own_person on drill_reps as restrictive to bradyon_app
  using (app_pass_game() is null or person_id = app_drill_person());
grant select, insert on drill_reps to bradyon_app;

-- A practice as planned: who does what, when and where. Written whole, against the version that was read.
create table practices (
  team_id uuid not null default app_team(),
  id uuid not null,
  starts_at timestamptz not null,
  practice jsonb not null,
  version integer not null default 1,
  constraint practices__team_id_id primary key (team_id, id)
);
create index practices_starts_at on practices (team_id, starts_at);
alter table practices enable row level security;
create policy own_practices on practices to bradyon_app using (team_id = app_team());
create policy no_guests on practices as restrictive to bradyon_app using (app_pass_game() is null);
grant select, insert, update, delete on practices to bradyon_app;

-- Plays are drawn for the level of the team.
drop function drill_title();
create function drill_title() returns table (team text, player text, level text)
  language sql stable security definer set search_path = public, pg_temp as
$$
  select t.name, p.name, t.level from people p join teams t on t.id = p.team_id
  where p.team_id = app_team() and p.id = app_drill_person()
$$;
revoke execute on function drill_title from public;
grant execute on function drill_title to bradyon_app;

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
  delete from practices where team_id = app_team();
  delete from drill_reps where team_id = app_team();
  delete from fielder_looks where team_id = app_team();
  delete from bunt_tries where team_id = app_team();
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
