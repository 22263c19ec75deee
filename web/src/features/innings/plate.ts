import {
  baseOut,
  contactValue,
  infieldInSaves,
  INFIELDS,
  sacrificeFrom,
  squeezeFrom,
  stepsWorth,
  THIRD,
  walkValue,
  type ContactShares,
  type Gamble,
  type Infield,
  type KnownBunt,
} from '@bradyon/core/innings';
import { spotUp, valueOf, type Game } from './game.ts';
import type { Batter } from './sides.ts';
import type { Situation } from './situation.ts';

export type PlateChoice =
  'sacrifice' | 'squeeze' | 'contactIn' | 'contactBack' | 'infieldIn' | 'walk';

/** A choice at the plate against what would be done otherwise, both as the side at bat has them. */
export interface AtThePlate {
  choice: PlateChoice;
  chosen: number;
  otherwise: number;
  /** What choosing it is worth to us: below 0 it costs us. */
  gain: number;
}

/** What the people who are there are good for; null: nobody worked it out. */
export interface KnownHere extends KnownBunt {
  /** How a ball on the ground ends with this runner on third. */
  contact: Record<Infield, ContactShares> | null;
  /** How often a send or a tag by these people works. */
  works: Partial<Record<Gamble, number>>;
}
export const NOTHING_KNOWN: KnownHere = { bunt: null, squeeze: null, contact: null, works: {} };

/** What the batter, and whoever is in the field, may choose here. */
export function platesHere(
  game: Game,
  situation: Situation,
  up: Batter | null,
  known: KnownHere = NOTHING_KNOWN,
): AtThePlate[] {
  const { bases, outs, batting } = situation;
  const { level } = game;
  const value = valueOf(game, situation);
  const now = value(bases, outs, 0);
  const state = baseOut(bases, outs);
  const ours = batting === 'we';
  const found: AtThePlate[] = [];
  const add = (choice: PlateChoice, chosen: number, otherwise: number): void => {
    found.push({ choice, chosen, otherwise, gain: ours ? chosen - otherwise : otherwise - chosen });
  };
  const rates = ours ? (game.ours[spotUp(game, situation)] ?? level.rates) : game.theirs;
  const batter = { ...level, rates };
  const mayBunt = game.allowed.buntAllowed && outs < 2;
  if (mayBunt && bases !== 0 && (bases & THIRD) === 0) {
    const bunt = sacrificeFrom(
      state,
      (ours ? (known.bunt ?? up?.bunt) : null) ?? level.bunt,
      batter,
      level.twoStrikeFactor,
    );
    add('sacrifice', stepsWorth(bunt, state, value), now);
  }
  if (mayBunt && bases & THIRD) {
    const squeeze = (ours ? known.squeeze : null) ?? level.squeeze;
    add('squeeze', stepsWorth(squeezeFrom(state, squeeze, batter), state, value), now);
  }
  if (outs < 2 && bases === THIRD) {
    if (ours) {
      for (const infield of INFIELDS) {
        const { go, wait } = contactValue(outs, (known.contact ?? level.contact)[infield], value);
        add(infield === 'in' ? 'contactIn' : 'contactBack', go, wait);
      }
    } else {
      // On the ground: what it saves is what we win.
      const saved = infieldInSaves(outs, level.contact, value);
      add('infieldIn', now - saved, now);
    }
  }
  add('walk', walkValue(bases, outs, value), now);
  return found;
}
