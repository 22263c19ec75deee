-- Up Migration

-- Every kind of time there is, with what goes with it.
alter table readings
  drop constraint readings__kind,
  drop constraint readings__seconds,
  drop constraint readings__base,
  -- A file brings times of coaches who have no account here; their names come with them.
  drop constraint readings__timed_by,
  add column start text,
  add column from_feet numeric(6, 2),
  add column to_feet numeric(6, 2),
  add column resolution_seconds numeric(8, 6),
  add column moved_from uuid,
  add column timed_by_name text,
  add column vouched boolean not null default false,
  add constraint readings__kind check (kind in (
    'hold', 'delivery', 'flight', 'pick', 'pop', 'leave', 'steal', 'diveBack', 'homeToFirst',
    'firstToThird', 'secondToHome', 'dash', 'outfieldThrow'
  )),
  -- Only a runner who left early has a time below zero.
  add constraint readings__seconds check (kind = 'leave' or seconds > 0),
  add constraint readings__base check (base in ('first', 'second', 'third', 'home')),
  add constraint readings__start check (start in ('dropStep', 'crossover', 'rocker', 'frontFoot')),
  add constraint readings__dash check (
    (kind = 'dash') = (from_feet is not null) and (kind = 'dash') = (to_feet is not null)
  ),
  add constraint readings__moved_from foreign key (team_id, moved_from)
    references readings (team_id, id) on delete set null (moved_from);

grant update (vouched) on readings to bradyon_app;

alter table teams
  add column pitcher_throw_limit smallint,
  add column catcher_throw_limit smallint;
grant update (pitcher_throw_limit, catcher_throw_limit) on teams to bradyon_app;

-- Reps of the thumb drill belong to the coach; the staff of his teams see them, because the times
-- he took are judged by them.
create table thumb_reps (
  account_id uuid not null default app_account(),
  id uuid not null,
  late_seconds jsonb not null,
  frame_seconds numeric(6, 4) not null,
  taken_at timestamptz not null,
  constraint thumb_reps__account_id_id primary key (account_id, id),
  constraint thumb_reps__account_id foreign key (account_id) references accounts (id)
);
alter table thumb_reps enable row level security;
create policy own_and_staff on thumb_reps to bradyon_app
  using (
    account_id = app_account()
    or account_id in (select account_id from memberships where team_id = app_team())
  )
  with check (account_id = app_account());
create policy own_only on thumb_reps as restrictive for delete to bradyon_app
  using (account_id = app_account());
grant select, insert, delete on thumb_reps to bradyon_app;

-- Two or three coaches timing the same events, each on his own device.
create table together (
  team_id uuid not null default app_team(),
  id uuid not null,
  kind text not null,
  started_at timestamptz not null default now(),
  constraint together__team_id_id primary key (team_id, id),
  constraint together__team_id foreign key (team_id) references teams (id),
  constraint together__kind check (kind in ('delivery', 'flight', 'pop'))
);
create table together_times (
  team_id uuid not null default app_team(),
  together_id uuid not null,
  account_id uuid not null default app_account(),
  event smallint not null,
  seconds numeric(6, 3),
  name text not null,
  constraint together_times__key primary key (team_id, together_id, account_id, event),
  constraint together_times__together_id foreign key (team_id, together_id)
    references together (team_id, id),
  constraint together_times__event check (event between 1 and 500)
);
alter table together enable row level security;
alter table together_times enable row level security;
create policy own_together on together to bradyon_app using (team_id = app_team());
create policy own_together_times on together_times to bradyon_app using (team_id = app_team());
grant select, insert on together, together_times to bradyon_app;

-- Timing gates and radar, each with a token of its own, kept as a hash.
create table gate_devices (
  team_id uuid not null default app_team(),
  id uuid not null,
  name text not null,
  token_hash bytea not null,
  -- Who is at the gates now; a run that names nobody is his.
  runner_id uuid,
  created_by uuid not null default app_account(),
  created_at timestamptz not null default now(),
  constraint gate_devices__team_id_id primary key (team_id, id),
  constraint gate_devices__team_id foreign key (team_id) references teams (id),
  constraint gate_devices__runner_id foreign key (team_id, runner_id)
    references people (team_id, id) on delete set null (runner_id),
  constraint gate_devices__token_hash unique (token_hash)
);
create table gate_runs (
  team_id uuid not null default app_team(),
  id uuid not null,
  device_name text not null,
  person_id uuid not null,
  taken_at timestamptz not null,
  beams jsonb not null,
  constraint gate_runs__team_id_id primary key (team_id, id),
  constraint gate_runs__person_id foreign key (team_id, person_id) references people (team_id, id)
);
alter table gate_devices enable row level security;
alter table gate_runs enable row level security;
create policy own_gate_devices on gate_devices to bradyon_app using (team_id = app_team());
create policy own_gate_runs on gate_runs to bradyon_app using (team_id = app_team());
grant select (team_id, id, name, runner_id, created_by, created_at), insert, delete
  on gate_devices to bradyon_app;
grant update (runner_id) on gate_devices to bradyon_app;
grant select, insert on gate_runs to bradyon_app;

-- Scopes the transaction to the team of the device with this token, as the coach who set it up, as
-- long as he is on the staff. No row: no such device.
create function enter_device(asked_token_hash bytea)
  returns table (device_id uuid, device_name text, runner_id uuid)
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  device record;
begin
  select d.team_id, d.id, d.name, d.runner_id, d.created_by into device
    from gate_devices d
    join memberships m on m.team_id = d.team_id and m.account_id = d.created_by
    where d.token_hash = asked_token_hash;
  if not found then
    return;
  end if;
  perform set_config('app.account_id', device.created_by::text, true);
  perform set_config('app.team_id', device.team_id::text, true);
  return query select device.id, device.name, device.runner_id;
end
$$;

-- Removes a person and everything timed of him, for good; for the owner of the team in scope only.
create function erase_person(asked_person uuid) returns boolean
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
  delete from people where team_id = app_team() and id = asked_person;
  get diagnostics gone = row_count;
  return gone = 1;
end
$$;

revoke execute on function enter_device, erase_person from public;
grant execute on function enter_device, erase_person to bradyon_app;
