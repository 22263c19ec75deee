-- Up Migration

-- A season's totals at bat, of ours and of opponents: they pull the level's rates.
create table batting_totals (
  team_id uuid not null default app_team(),
  person_id uuid not null,
  plate_appearances smallint not null,
  hits smallint not null,
  doubles smallint not null,
  triples smallint not null,
  home_runs smallint not null,
  walks smallint not null,
  strikeouts smallint not null,
  reached_on_error smallint not null,
  bunt_tries smallint not null,
  bunts_good smallint not null,
  constraint batting_totals__key primary key (team_id, person_id),
  constraint batting_totals__person_id foreign key (team_id, person_id)
    references people (team_id, id) on delete cascade,
  constraint batting_totals__hits check (doubles + triples + home_runs <= hits),
  constraint batting_totals__plate_appearances check (
    least(doubles, triples, home_runs, walks, strikeouts, reached_on_error, bunts_good) >= 0
    and hits + walks + strikeouts + reached_on_error <= plate_appearances
  ),
  constraint batting_totals__bunt_tries check (bunts_good <= bunt_tries)
);
alter table batting_totals enable row level security;
create policy own_batting_totals on batting_totals to bradyon_app using (team_id = app_team());
grant select, insert, delete on batting_totals to bradyon_app;
grant update (plate_appearances, hits, doubles, triples, home_runs, walks, strikeouts,
              reached_on_error, bunt_tries, bunts_good) on batting_totals to bradyon_app;

-- Who bats when, as the coach set it.
create table batting_order (
  team_id uuid not null default app_team(),
  spot smallint not null,
  person_id uuid not null,
  constraint batting_order__key primary key (team_id, spot),
  constraint batting_order__person_id unique (team_id, person_id),
  constraint batting_order__person foreign key (team_id, person_id)
    references people (team_id, id) on delete cascade,
  constraint batting_order__spot check (spot between 1 and 15)
);
alter table batting_order enable row level security;
create policy own_batting_order on batting_order to bradyon_app using (team_id = app_team());
grant select, insert, delete on batting_order to bradyon_app;

-- A team's own sheets of how the game goes, in place of its level's.
alter table teams add column play_changes jsonb not null default '{}';
grant update (play_changes) on teams to bradyon_app;
