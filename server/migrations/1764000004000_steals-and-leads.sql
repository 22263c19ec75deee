-- Up Migration

-- What a steal has to be good for is a chance now, not a margin on the watch; and a team may have
-- numbers of its own in place of its level's.
alter table teams
  drop column needed_margin_seconds,
  add column needed_chance numeric(4, 3) not null default 0.8,
  add column level_changes jsonb not null default '{}',
  add constraint teams__needed_chance check (needed_chance between 0.5 and 0.99);
grant update (needed_chance, level_changes) on teams to bradyon_app;

-- Everybody's own lead off first; null: the usual one.
alter table people
  add column lead_feet numeric(4, 1),
  add constraint people__lead_feet check (lead_feet between 1 and 30);
grant update (lead_feet) on people to bradyon_app;

-- A crossover step and a dive back from a measured lead, and what it showed.
create table test_dives (
  team_id uuid not null default app_team(),
  id uuid not null,
  person_id uuid not null,
  lead_feet numeric(4, 1) not null,
  result text not null,
  inches_short numeric(4, 1),
  taken_at timestamptz not null,
  constraint test_dives__team_id_id primary key (team_id, id),
  constraint test_dives__person_id foreign key (team_id, person_id) references people (team_id, id),
  constraint test_dives__lead_feet check (lead_feet between 1 and 30),
  constraint test_dives__result check (result in ('elbowOver', 'handOn', 'short')),
  constraint test_dives__inches_short check ((result = 'short') = (inches_short is not null))
);
create index test_dives_person on test_dives (team_id, person_id);
alter table test_dives enable row level security;
create policy own_test_dives on test_dives to bradyon_app using (team_id = app_team());
grant select, insert, delete on test_dives to bradyon_app;

create or replace function erase_person(asked_person uuid) returns boolean
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  gone integer;
begin
  if not exists (
    select 1 from memberships
    where team_id = app_team() and account_id = app_account() and role = 'owner'
  ) then
    raise exception 'only the owner of the team erases';
  end if;
  delete from readings where team_id = app_team() and person_id = asked_person;
  delete from gate_runs where team_id = app_team() and person_id = asked_person;
  delete from test_dives where team_id = app_team() and person_id = asked_person;
  delete from people where team_id = app_team() and id = asked_person;
  get diagnostics gone = row_count;
  return gone = 1;
end
$$;
