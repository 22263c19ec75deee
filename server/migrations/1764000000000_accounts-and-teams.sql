-- Up Migration

-- Who asks, and for which team: set for one transaction by enter_account and enter_team.
create function app_account() returns uuid
  language sql stable as $$ select nullif(current_setting('app.account_id', true), '')::uuid $$;

create function app_team() returns uuid
  language sql stable as $$ select nullif(current_setting('app.team_id', true), '')::uuid $$;

create table accounts (
  id uuid not null,
  email text not null,
  name text not null,
  password_hash text not null,
  demo boolean not null default false,
  created_at timestamptz not null default now(),
  constraint accounts__id primary key (id),
  constraint accounts__email unique (email),
  constraint accounts__email_lower check (email = lower(email))
);

create table teams (
  id uuid not null,
  name text not null,
  level text not null,
  ruleset jsonb not null,
  needed_margin_seconds numeric(4, 3) not null,
  created_by uuid not null default app_account(),
  created_at timestamptz not null default now(),
  constraint teams__id primary key (id),
  constraint teams__created_by foreign key (created_by) references accounts (id),
  constraint teams__needed_margin_seconds check (needed_margin_seconds between 0 and 0.5)
);

create table memberships (
  team_id uuid not null default app_team(),
  account_id uuid not null,
  role text not null,
  joined_at timestamptz not null default now(),
  constraint memberships__team_id_account_id primary key (team_id, account_id),
  constraint memberships__team_id foreign key (team_id) references teams (id),
  constraint memberships__account_id foreign key (account_id) references accounts (id),
  constraint memberships__role check (role in ('owner', 'assistant'))
);
create index memberships_account on memberships (account_id);

create table invites (
  team_id uuid not null default app_team(),
  id uuid not null,
  code_hash bytea not null,
  created_by uuid not null default app_account(),
  expires_at timestamptz not null default now() + interval '7 days',
  constraint invites__team_id_id primary key (team_id, id),
  constraint invites__team_id foreign key (team_id) references teams (id),
  constraint invites__code_hash unique (code_hash)
);

alter table accounts enable row level security;
alter table teams enable row level security;
alter table memberships enable row level security;
alter table invites enable row level security;

create policy own_memberships on memberships to bradyon_app
  using (team_id = app_team() or account_id = app_account())
  with check (team_id = app_team());

-- A team is seen by its members, and by its maker in the moment of making it.
create policy own_teams on teams to bradyon_app
  using (
    id = app_team()
    or id in (select team_id from memberships where account_id = app_account())
  )
  with check (id = app_team());

create policy own_invites on invites to bradyon_app using (team_id = app_team());

create policy self_and_staff on accounts to bradyon_app
  using (
    id = app_account()
    or id in (select account_id from memberships where team_id = app_team())
  )
  with check (id = app_account());

-- The hash of a password leaves the table only through password_of.
grant select (id, email, name, demo) on accounts to bradyon_app;
grant insert (id, email, name, password_hash) on accounts to bradyon_app;
grant select, insert on teams to bradyon_app;
grant update (name, level, ruleset, needed_margin_seconds) on teams to bradyon_app;
grant select, insert, delete on memberships to bradyon_app;
grant select (team_id, id, expires_at), insert, delete on invites to bradyon_app;

-- The questions that come before anyone is a member. They run as the owner of the tables, so each
-- answers exactly one thing.
create function password_of(asked_email text) returns table (id uuid, password_hash text)
  language sql stable security definer set search_path = public, pg_temp as
$$ select a.id, a.password_hash from accounts a where a.email = asked_email $$;

create function demo_account() returns uuid
  language sql stable security definer set search_path = public, pg_temp as
$$ select id from accounts where demo order by created_at, id limit 1 $$;

-- Scopes the transaction to a team and says which role the account has there; null: none.
create function enter_team(asked_account uuid, asked_team uuid) returns text
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  held_role text;
begin
  select role into held_role from memberships
    where team_id = asked_team and account_id = asked_account;
  perform set_config('app.account_id', asked_account::text, true);
  perform set_config('app.team_id', case when held_role is null then '' else asked_team::text end, true);
  return held_role;
end
$$;

-- Makes the account an assistant of the team whose open invitation has this code.
create function redeem_invite(asked_account uuid, asked_code_hash bytea) returns uuid
  language plpgsql security definer set search_path = public, pg_temp as
$$
declare
  invited_team uuid;
begin
  select team_id into invited_team from invites
    where code_hash = asked_code_hash and expires_at > now();
  if invited_team is not null then
    insert into memberships (team_id, account_id, role)
      values (invited_team, asked_account, 'assistant')
      on conflict do nothing;
  end if;
  return invited_team;
end
$$;

revoke execute on function password_of, demo_account, enter_team, redeem_invite from public;
grant execute on function password_of, demo_account, enter_team, redeem_invite to bradyon_app;

-- Signed-in browsers (connect-pg-simple) and counted attempts (rate-limiter-flexible).
create table sessions (
  sid varchar not null,
  sess json not null,
  expire timestamptz not null,
  constraint sessions__sid primary key (sid)
);
create index sessions_expire on sessions (expire);

create table rate_limits (
  key varchar(255) not null,
  points integer not null default 0,
  expire bigint,
  constraint rate_limits__key primary key (key)
);

grant select, insert, update, delete on sessions, rate_limits to bradyon_app;
