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
  constraint batting_totals__key primary key (team_id, person_id),
  constraint batting_totals__person_id foreign key (team_id, person_id)
    references people (team_id, id) on delete cascade,
  constraint batting_totals__hits check (doubles + triples + home_runs <= hits),
  constraint batting_totals__plate_appearances check (
    least(doubles, triples, home_runs, walks, strikeouts, reached_on_error) >= 0
    and hits + walks + strikeouts + reached_on_error <= plate_appearances
  )
);
alter table batting_totals enable row level security;
create policy own_batting_totals on batting_totals to bradyon_app using (team_id = app_team());
grant select, insert, delete on batting_totals to bradyon_app;
grant update (plate_appearances, hits, doubles, triples, home_runs, walks, strikeouts,
              reached_on_error) on batting_totals to bradyon_app;
