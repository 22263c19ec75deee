import {
  CALL_DRILLS,
  CALLS,
  CUES,
  FEET_OF_BODY,
  REP_MEASURES,
  SEND_ANSWERS,
  SEND_LEVELS,
  SENSES,
  SQUEEZE_OUTCOMES,
  STATION_NAMES,
  TECHNIQUES,
  TRAIL_ANSWERS,
  WAYS,
  type CallDrillName,
  type LandingRep,
  type LeaveRep,
  type OwnStation,
  type Practice,
  type PracticeLimits,
  type ReadRep,
  type Rep,
  type SendLevelName,
  type SendRep,
  type SqueezeRepTapped,
  type StartRep,
} from '@bradyon/core/drills';
import type { AccountId, PersonId, PracticeId, RepId } from '@bradyon/core/units';
import { versionField, type Kept } from './kept.ts';
import { tallyContracts, tallyFields, type TallyRow } from './tally.ts';
import {
  constant,
  contract,
  flag,
  id,
  instant,
  listContract,
  listOf,
  nullable,
  number,
  oneOf,
  oneShapeOf,
  optional,
  required,
  rowsOf,
  sequenceOf,
  text,
} from './rule.ts';

/** One rep of a drill, or the undoing of one. */
export interface RepRecord extends TallyRow<RepId> {
  /** null: a coach who trains. */
  personId: PersonId | null;
  rep: Rep;
}

const callDrills = Object.keys(CALL_DRILLS) as CallDrillName[];
const sendLevels = Object.keys(SEND_LEVELS) as SendLevelName[];
const session = required(text('Say which block it belongs to.', { max: 60 }));
const seconds = (say: string, min: number, max: number) => required(number(say, { min, max }));
const drill = <D extends Rep['drill']>(name: D) => required(oneOf([name], 'Choose a drill.'));

const start = contract<StartRep>({
  drill: drill('start'),
  session,
  calls: required(oneOf(callDrills, 'Choose what is called.')),
  technique: required(oneOf(TECHNIQUES, 'Choose a first step.')),
  measure: required(oneOf(REP_MEASURES, 'Choose who taps.')),
  call: required(oneOf(CALLS, 'Choose go, back or none.')),
  sense: required(oneOf(SENSES, 'Choose heard or seen.')),
  tapSeconds: required(nullable(number('Enter -5 to 10 s.', { min: -5, max: 10 }))),
  outputLateSeconds: seconds('Enter 0 to .5 s.', 0, 0.5),
  handsSeconds: seconds('Enter 0 to 2 s.', 0, 2),
  way: required(oneOf(WAYS, 'Choose go or back.')),
});
const read = contract<ReadRep>({
  drill: drill('read'),
  session,
  cue: required(oneOf(CUES, 'Choose what is read.')),
  signal: required(flag('true or false')),
  shownSeconds: seconds('Enter 0 to 1 s.', 0, 1),
  went: required(nullable(flag('true or false'))),
});
const leave = contract<LeaveRep>({
  drill: drill('leave'),
  session,
  seconds: seconds('Enter -2 to 2 s.', -2, 2),
});
const landing = contract<LandingRep>({
  drill: drill('landing'),
  session,
  seconds: seconds('Enter -2 to 2 s.', -2, 2),
  foot: required(oneOf(FEET_OF_BODY, 'Choose the left or the right foot.')),
});
const send = contract<SendRep>({
  drill: drill('send'),
  session,
  level: required(oneOf(sendLevels, 'Choose a level.')),
  seed: required(number('A whole number.', { min: 0, max: 0xffffffff, whole: true })),
  answer: required(oneOf(SEND_ANSWERS, 'Choose send, hold or none.')),
  coach: required(nullable(id<AccountId>())),
  onFirst: optional(constant(true)),
  trail: optional(oneOf(TRAIL_ANSWERS, 'Choose third or second.')),
  guess: optional(number('Enter a chance from 0 to 1.', { min: 0, max: 1 })),
});
const squeeze = contract<SqueezeRepTapped>({
  drill: drill('squeeze'),
  session,
  showSeconds: seconds('Enter -2 to 2 s.', -2, 2),
  breakSeconds: required(nullable(number('Enter -2 to 2 s.', { min: -2, max: 2 }))),
  outcome: required(oneOf(SQUEEZE_OUTCOMES, 'Choose what became of the bunt.')),
});

const { personId: _whose, ...common } = tallyFields<RepId>();
const given = {
  ...common,
  rep: required(oneShapeOf<Rep, 'drill'>('drill', { start, read, leave, landing, send, squeeze })),
};
/** As a player's own phone sends it. */
export const playerRepContract = contract<Omit<RepRecord, 'personId'>>(given);

/** Only a play of the trainer may be a coach's own. */
export const repTally = tallyContracts(
  contract<RepRecord>(
    { ...given, personId: required(nullable(id<PersonId>())) },
    ({ personId, rep }) =>
      personId === null && rep.drill !== 'send'
        ? { path: 'personId', message: 'Choose whose rep it was.' }
        : null,
  ),
);

/** A practice of a team. */
export interface PracticeRecord extends Practice {
  id: PracticeId;
}

const minutes = (what: string, min: number, max: number) =>
  required(
    number(`${what}: enter ${String(min)} to ${String(max)} minutes.`, { min, max, whole: true }),
  );
const most = (what: string, max: number) =>
  required(number(`${what}: enter 0 to ${String(max)} a day.`, { min: 0, max, whole: true }));
const practiceFields = {
  name: required(text('Give the practice a name of up to 60 letters.', { max: 60 })),
  startsAt: required(instant('Say when it starts.')),
  warmUpMinutes: minutes('Warm-up', 0, 60),
  closeMinutes: minutes('Close', 0, 60),
  changeMinutes: minutes('Changing over', 0, 10),
  slotMinutes: minutes('A station', 4, 60),
  water: required(
    contract<Practice['water']>({
      minutes: minutes('Water', 0, 15),
      everySlots: required(
        number('Water: enter after 1 to 8 stations.', { min: 1, max: 8, whole: true }),
      ),
    }),
  ),
  coaches: required(number('Enter 1 to 20 coaches.', { min: 1, max: 20, whole: true })),
  order: required(sequenceOf(text('Choose a station.', { max: 60 }), 16)),
  own: required(
    rowsOf(
      contract<OwnStation>({
        id: required(text('Send an id.', { max: 60 })),
        name: required(text('Name the station, up to 40 letters.', { max: 40 })),
        notes: required(text('Up to 500 letters.', { min: 0, max: 500 })),
      }),
      12,
    ),
  ),
  groups: required(rowsOf(listOf(id<PersonId>(), 40), 8)),
  notes: required(text('Up to 2000 letters.', { min: 0, max: 2000 })),
  limits: optional(
    nullable(
      contract<PracticeLimits>({
        sprints: most('Full sprints', 40),
        pitcherThrows: most('Throws of a pitcher', 60),
        catcherThrows: most('Throws of a catcher', 60),
      }),
    ),
  ),
};

/** What of a practice does not hang together, or null. */
function practiceMisfit({ order, own, groups, changeMinutes, slotMinutes }: Practice) {
  const known = new Set<string>([...STATION_NAMES, ...own.map((each) => each.id)]);
  const strange = order.findIndex((name) => !known.has(name));
  if (strange >= 0) return { path: `order.${String(strange)}`, message: 'Choose a station.' };
  const all = groups.flat();
  if (new Set(all).size < all.length) {
    return { path: 'groups', message: 'A player is in two groups.' };
  }
  return changeMinutes >= slotMinutes
    ? { path: 'changeMinutes', message: 'Changing over takes as long as a station.' }
    : null;
}

export const practiceContract = contract<PracticeRecord>(
  { id: required(id<PracticeId>()), ...practiceFields },
  practiceMisfit,
);
export const keptPracticeContract = contract<Kept<PracticeRecord>>(
  { id: required(id<PracticeId>()), ...practiceFields, version: versionField },
  practiceMisfit,
);
export const practicesContract = listContract(keptPracticeContract);
