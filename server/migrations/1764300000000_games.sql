-- Up Migration

-- A game is a list of entries that only grows: where it stands is read from them, never kept.
create table games (
  team_id uuid not null default app_team(),
  id uuid not null,
  opponent_id uuid,
  starts_at timestamptz not null,
  we_are_home boolean not null,
  -- The number of its last entry. Whoever adds some holds this row, and no other game waits.
  last_seq integer not null default 0,
  constraint games__team_id_id primary key (team_id, id),
  constraint games__opponent_id foreign key (team_id, opponent_id)
    references opponents (team_id, id)
);
create index games_starts_at on games (team_id, starts_at desc, id);
alter table games enable row level security;
create policy own_games on games to bradyon_app using (team_id = app_team());
grant select, insert, delete on games to bradyon_app;
grant update (last_seq, opponent_id, starts_at, we_are_home) on games to bradyon_app;

create table game_entries (
  team_id uuid not null default app_team(),
  game_id uuid not null,
  seq integer not null,
  id uuid not null,
  device text not null,
  place text not null,
  at timestamptz not null,
  slot text not null,
  kind text not null,
  told jsonb not null,
  constraint game_entries__team_id_game_id_seq primary key (team_id, game_id, seq),
  constraint game_entries__id unique (team_id, game_id, id),
  constraint game_entries__game_id foreign key (team_id, game_id)
    references games (team_id, id) on delete cascade,
  constraint game_entries__place check (place in ('bench', 'third', 'first', 'stands'))
);
alter table game_entries enable row level security;
create policy own_game_entries on game_entries to bradyon_app using (team_id = app_team());
grant select, insert on game_entries to bradyon_app;

-- Removes the team in scope with everything in it, for good; for its owner only.
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
