-- Up Migration

create table opponents (
  team_id uuid not null default app_team(),
  id uuid not null,
  name text not null,
  retired boolean not null default false,
  created_at timestamptz not null default now(),
  constraint opponents__team_id_id primary key (team_id, id),
  constraint opponents__team_id foreign key (team_id) references teams (id)
);
create unique index opponents__team_id_name on opponents (team_id, lower(name));

create table people (
  team_id uuid not null default app_team(),
  id uuid not null,
  opponent_id uuid,
  number text not null,
  name text not null,
  throws text not null,
  bats text not null,
  positions text[] not null,
  retired boolean not null default false,
  created_at timestamptz not null default now(),
  constraint people__team_id_id primary key (team_id, id),
  constraint people__team_id foreign key (team_id) references teams (id),
  constraint people__opponent_id foreign key (team_id, opponent_id) references opponents (team_id, id),
  constraint people__number check (number ~ '^[0-9]{0,3}$'),
  constraint people__throws check (throws in ('right', 'left')),
  constraint people__bats check (bats in ('right', 'left', 'switch'))
);
-- Two active players of one side never wear the same number.
create unique index people__number_taken
  on people (team_id, coalesce(opponent_id, '00000000-0000-0000-0000-000000000000'), number)
  where not retired and number <> '';

alter table opponents enable row level security;
alter table people enable row level security;
create policy own_opponents on opponents to bradyon_app using (team_id = app_team());
create policy own_people on people to bradyon_app using (team_id = app_team());

grant select, insert on opponents, people to bradyon_app;
grant update (name, retired) on opponents to bradyon_app;
grant update (number, name, throws, bats, positions, retired) on people to bradyon_app;
