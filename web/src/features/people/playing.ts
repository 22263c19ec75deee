import { byNumber, type Opponent, type Person, type Position } from '@bradyon/core/people';
import type { DeliveryStyle } from '@bradyon/core/timing';
import type { OpponentId, PersonId, TargetBase } from '@bradyon/core/units';

/** Whose pitcher and catcher: an opponent's, or our own in practice. */
export type Side = OpponentId | 'ours';

/** Who is out there now, as the coach picked it. null: not picked yet. */
export interface Playing {
  facing: Side | null;
  pitcherId: PersonId | null;
  catcherId: PersonId | null;
  runnerId: PersonId | null;
  /** Whose runners are timed: ours in practice, theirs from across the field. */
  running: Side;
  base: TargetBase;
  style: DeliveryStyle;
}

export const NOBODY_PICKED: Playing = {
  facing: null,
  pitcherId: null,
  catcherId: null,
  runnerId: null,
  running: 'ours',
  base: 'second',
  style: 'legLift',
};

export interface OnField {
  facing: Side;
  /** Active people of that side, those of the position first. */
  pitchers: Person[];
  catchers: Person[];
  /** Ours: who may steal. */
  runners: Person[];
  /** Whose runners are timed, and they. */
  running: Side;
  timedRunners: Person[];
  /** Those of that side, outfielders first. */
  fielders: Person[];
  pitcher: Person | null;
  catcher: Person | null;
  runner: Person | null;
}

/**
 * Who is out there: what was picked as far as it still holds, else the first that fits, so that a
 * screen is never empty for want of a tap.
 */
export function resolvePlaying(
  picked: Playing,
  people: readonly Person[],
  opponents: readonly Opponent[],
): OnField {
  const active = people.filter(({ retired }) => !retired).toSorted(byNumber);
  const sides = sidesOf(opponents, active);
  const facing = sides.find((side) => side === picked.facing) ?? sides[0] ?? 'ours';
  const sideId = facing === 'ours' ? null : facing;
  const theirs = active.filter(({ opponentId }) => opponentId === sideId);
  const pitchers = positionFirst(theirs, 'P');
  const catchers = positionFirst(theirs, 'C');
  const fielders = positionFirst(theirs, 'LF', 'CF', 'RF');
  const runners = active.filter(({ opponentId }) => opponentId === null);
  const running = sides.find((side) => side === picked.running) ?? 'ours';
  const runningId = running === 'ours' ? null : running;
  const pick = (from: Person[], id: PersonId | null, position?: Position): Person | null =>
    from.find((person) => person.id === id) ??
    from.find(({ positions }) => position === undefined || positions.includes(position)) ??
    null;
  return {
    facing,
    pitchers,
    catchers,
    runners,
    running,
    timedRunners: active.filter(({ opponentId }) => opponentId === runningId),
    fielders,
    pitcher: pick(pitchers, picked.pitcherId, 'P'),
    catcher: pick(catchers, picked.catcherId, 'C'),
    runner: pick(runners, picked.runnerId),
  };
}

/** Opponents that have somebody, then ourselves. */
function sidesOf(opponents: readonly Opponent[], active: readonly Person[]): Side[] {
  const known = opponents.filter(
    ({ id, retired }) => !retired && active.some(({ opponentId }) => opponentId === id),
  );
  return [...known.map(({ id }) => id), 'ours'];
}

function positionFirst(people: readonly Person[], ...wanted: Position[]): Person[] {
  const plays = ({ positions }: Person): number =>
    positions.some((position) => wanted.includes(position)) ? 0 : 1;
  return people.toSorted((a, b) => plays(a) - plays(b));
}
