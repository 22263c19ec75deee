-- Up Migration

-- What a league decides about lineups, strike three and run limits: until a team says otherwise, the commonest.
update teams
set ruleset =
  jsonb_build_object(
    'runLimitPerHalf', null,
    'runLimitLastOpen', true,
    'droppedThirdStrike', true,
    'infieldFly', true,
    'reEntry', 'startersOnce',
    'courtesyRunner', true,
    'continuousOrder', false,
    'illegalPitchAdvances', ruleset ->> 'sport' = 'softball'
  ) || ruleset;
