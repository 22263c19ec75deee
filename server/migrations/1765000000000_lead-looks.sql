-- Up Migration

-- How far off runners were seen, a look at a time. A wrong tap is undone by a row of its own.
create table lead_looks (
  team_id uuid not null default app_team(),
  seq bigint generated always as identity,
  id uuid not null,
  person_id uuid not null,
  undoes uuid,
  base text not null,
  moment text not null,
  feet numeric(4, 2) not null,
  taken_at timestamptz not null,
  constraint lead_looks__team_id_id primary key (team_id, id),
  constraint lead_looks__person_id foreign key (team_id, person_id)
    references people (team_id, id) on delete cascade
);
create index lead_looks_seq on lead_looks (team_id, seq);
create index lead_looks_person on lead_looks (team_id, person_id);
alter table lead_looks enable row level security;
create policy own_lead_looks on lead_looks to bradyon_app using (team_id = app_team());
create policy no_guests on lead_looks as restrictive to bradyon_app
  using (app_pass_game() is null);
grant select, insert on lead_looks to bradyon_app;

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
  delete from lead_looks where team_id = app_team();
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
