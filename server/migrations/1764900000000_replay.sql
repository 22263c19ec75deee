-- Up Migration

-- Spots of a finished game that players decide again on their own phones: nobody is named in them. One game a team;
-- the next one shared takes its place.
alter table teams add column replay jsonb;
grant update (replay) on teams to bradyon_app;

-- Who drills by a code sees no team: only this of it.
create function drill_replay() returns jsonb
  language sql stable security definer set search_path = public, pg_temp as
$$
  select replay from teams where id = app_team() and app_drill_person() is not null
$$;
revoke execute on function drill_replay from public;
grant execute on function drill_replay to bradyon_app;
