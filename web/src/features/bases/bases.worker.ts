import {
  bestBow,
  bowTime,
  conesFor,
  INFIELD_DEPTHS,
  noTurn,
  planGrounder,
  sharpTurn,
  type Bow,
  type BowRun,
  type ConesLaid,
  type GrounderPlan,
  type GrounderQuestion,
  type TurnLimits,
} from '@bradyon/core/bases';
import { valueFrom, type ValueTable } from '@bradyon/core/innings';
import { expose } from 'comlink';

/** The ways round a bag, to compare. */
export interface TurnsFound {
  straight: number;
  sharp: number;
  best: { bow: Bow; run: BowRun };
  /** Laid for the best path. */
  cones: ConesLaid;
  four: { bow: Bow; run: BowRun };
  own: BowRun;
}

export interface TurnsAsked {
  start: Pick<Bow, 'baseFeet' | 'leadFeet' | 'depthFeet'>;
  speed: number;
  limits: TurnLimits;
  own: { outFeet: number; shortFeet: number };
}

/** Balls on the ground against every depth of the infield; what they are worth as plain numbers. */
export interface GroundersAsked extends Omit<GrounderQuestion, 'depth' | 'value'> {
  values: ValueTable;
}

/** So far out there is room, as a share of the base distance. */
const ROOM = 0.2;
const TAUGHT_FEET = 4;

/** What is too heavy to stand between a tap and its answer. */
const heavy = {
  turns: ({ start, speed, limits, own }: TurnsAsked): TurnsFound => {
    const best = bestBow(start, limits, speed, ROOM * start.baseFeet);
    return {
      straight: noTurn(start, limits, speed),
      sharp: sharpTurn(start, limits, speed),
      best,
      cones: conesFor(best.bow, limits, speed),
      four: bestBow(start, limits, speed, TAUGHT_FEET),
      own: bowTime({ ...start, ...own }, limits, speed),
    };
  },
  /** One for each of INFIELD_DEPTHS. */
  grounders: ({ values, ...asked }: GroundersAsked): GrounderPlan[] =>
    INFIELD_DEPTHS.map((depth) => planGrounder({ ...asked, depth, value: valueFrom(values) })),
};
export type Heavy = typeof heavy;

expose(heavy);
