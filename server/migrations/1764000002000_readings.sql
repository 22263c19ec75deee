-- Up Migration

create table readings (
  team_id uuid not null default app_team(),
  id uuid not null,
  person_id uuid not null,
  kind text not null,
  seconds numeric(6, 3) not null,
  base text,
  style text,
  lead_feet numeric(4, 1),
  method text not null,
  taken_at timestamptz not null,
  timed_by uuid not null default app_account(),
  recorded_at timestamptz not null default now(),
  aside_reason text,
  aside_by uuid,
  aside_at timestamptz,
  constraint readings__team_id_id primary key (team_id, id),
  constraint readings__person_id foreign key (team_id, person_id) references people (team_id, id),
  constraint readings__timed_by foreign key (timed_by) references accounts (id),
  constraint readings__aside_by foreign key (aside_by) references accounts (id),
  constraint readings__kind check (kind in ('delivery', 'flight', 'pop', 'steal', 'homeToFirst')),
  constraint readings__seconds check (seconds > 0),
  constraint readings__base check (base in ('second', 'third')),
  constraint readings__style check ((kind = 'delivery') = (style is not null)),
  constraint readings__aside check ((aside_reason is null) = (aside_at is null))
);
create index readings_person on readings (team_id, person_id, taken_at);

alter table readings enable row level security;
create policy own_readings on readings to bradyon_app using (team_id = app_team());

-- A reading never changes: only setting it aside and bringing it back is granted.
grant select, insert on readings to bradyon_app;
grant update (aside_reason, aside_by, aside_at) on readings to bradyon_app;
