-- Up Migration

-- A team's own constants of bunting and of the bases, in place of its level's.
alter table teams add column field_changes jsonb not null default '{"bunts": {}, "bases": {}}';
grant update (field_changes) on teams to bradyon_app;

-- Bunts counted in practice. A wrong tap is undone by a row of its own.
create table bunt_tries (
  team_id uuid not null default app_team(),
  seq bigint generated always as identity,
  id uuid not null,
  person_id uuid not null,
  undoes uuid,
  result text not null,
  aimed text,
  lane text,
  pace text,
  height text,
  style text not null,
  taken_at timestamptz not null,
  constraint bunt_tries__team_id_id primary key (team_id, id),
  constraint bunt_tries__person_id foreign key (team_id, person_id)
    references people (team_id, id) on delete cascade
);
create index bunt_tries_seq on bunt_tries (team_id, seq);
create index bunt_tries_person on bunt_tries (team_id, person_id);
alter table bunt_tries enable row level security;
create policy own_bunt_tries on bunt_tries to bradyon_app using (team_id = app_team());
create policy no_guests on bunt_tries as restrictive to bradyon_app using (app_pass_game() is null);
grant select, insert on bunt_tries to bradyon_app;

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
