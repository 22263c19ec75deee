import type { PersonId } from '../units/index.ts';
import { sideAtBat, SIDES, type Half, type Side } from './events.ts';
import { batterOf, dueOf, isInfieldFly, isTieBreaker, mayRunOnThird, pitcherOf } from './halves.ts';
import { benchOf, defenceOf, placeAfter } from './lineUp.ts';
import { makeSlot } from './slot.ts';
import type { GameState, GotOn, Over } from './state.ts';

/** Where a game stands, as it is shown. */
export interface Situation {
  open: true;
  inning: number;
  half: Half;
  outs: number;
  balls: number;
  strikes: number;
  bases: Record<'first' | 'second' | 'third', PersonId | null>;
  /** How those who are on got on. */
  by: Record<PersonId, GotOn>;
  runs: Record<Side, number>;
  line: Record<Side, readonly number[]>;
  batter: PersonId;
  due: PersonId;
  onDeck: PersonId;
  inHole: PersonId;
  pitcher: PersonId | null;
  catcher: PersonId | null;
  defence: Record<Side, Partial<Record<string, PersonId>>>;
  order: Record<Side, PersonId[]>;
  flex: Record<Side, PersonId | null>;
  absent: Record<Side, PersonId[]>;
  bench: Record<Side, Record<PersonId, 'available' | 'mayReturn' | 'done'>>;
  courtesy: Record<Side, Record<PersonId, 'P' | 'C'>>;
  picks: number;
  /** null: no limit. */
  picksLeft: number | null;
  visits: Record<Side, number>;
  pitches: Readonly<Record<PersonId, number>>;
  throws: Readonly<Record<PersonId, number>>;
  tieBreaker: boolean;
  droppedThird: boolean;
  infieldFly: boolean;
  alignment: GameState['alignment'];
  sign: GameState['sign'];
  over: Over | null;
  /** For the next entry. */
  slot: string;
}

/** What is shown of a state; null: the game is not open. */
export function situationOf(state: GameState | null): Situation | { open: false } {
  if (!state) return { open: false };
  const { teams, half, rules, picks } = state;
  const team = teams[sideAtBat(half)];
  const batter = batterOf(state);
  const place = Math.max(
    0,
    team.order.findIndex(({ id }) => id === batter),
  );
  const behind = (by: number): PersonId => team.order[placeAfter(team, place, by)]?.id ?? batter;
  const defence = bySide((side) => defenceOf(teams[side]));
  const [first, second, third] = [state.bases[1], state.bases[2], state.bases[3]];
  return {
    open: true,
    inning: state.inning,
    half,
    outs: state.outs,
    balls: state.balls,
    strikes: state.strikes,
    bases: { first, second, third },
    by: Object.fromEntries(
      [first, second, third].flatMap((id) => {
        const how = id === null ? undefined : state.by[id];
        return id !== null && how ? [[id, how]] : [];
      }),
    ),
    runs: state.runs,
    line: state.line,
    batter,
    due: dueOf(state),
    onDeck: behind(1),
    inHole: behind(2),
    pitcher: pitcherOf(state),
    catcher: defence[half === 'top' ? 'home' : 'away']['C'] ?? null,
    defence,
    order: bySide((side) => teams[side].order.map(({ id }) => id)),
    flex: bySide((side) => teams[side].flex?.id ?? null),
    absent: bySide((side) => [...teams[side].absent]),
    bench: bySide((side) => benchOf(teams[side], rules)),
    courtesy: bySide((side) => Object.fromEntries(teams[side].courtesy)),
    picks,
    picksLeft: rules.pickLimit === null ? null : Math.max(0, rules.pickLimit - picks),
    visits: state.visits,
    pitches: state.pitches,
    throws: state.throws,
    tieBreaker: isTieBreaker(state),
    droppedThird: mayRunOnThird(state),
    infieldFly: isInfieldFly(state),
    alignment: state.alignment,
    sign: state.sign,
    over: state.over,
    slot: makeSlot({
      number: state.number,
      half,
      inning: state.inning,
      turn: state.turn,
      pitch: state.pitch,
      nth: 1,
    }),
  };
}

function bySide<T>(of: (side: Side) => T): Record<Side, T> {
  const [away, home] = SIDES;
  return { away: of(away), home: of(home) };
}
