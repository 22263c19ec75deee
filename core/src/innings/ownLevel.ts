import type { LevelName } from '../timing/index.ts';
import { PLAY_LEVELS } from './playLevels.ts';
import {
  describeSharesMisfit,
  INFIELDS,
  type BattingRates,
  type BuntOutcomes,
  type ContactShares,
  type Infield,
  type PlayLevel,
  type SqueezeOutcomes,
} from './rates.ts';

/** What a squeeze comes to, at any level. Judgement: not measured anywhere. */
export const USUAL_SQUEEZE: SqueezeOutcomes = {
  scored: 0.55,
  scoredAndSafe: 0.08,
  outAtHome: 0.07,
  missed: 0.09,
  foul: 0.12,
  popDouble: 0.03,
  popOut: 0.06,
};

/** A ball on the ground with a runner on third, at any level. Judgement: not measured anywhere. */
export const CONTACT: Record<Infield, ContactShares> = {
  in: { through: 0.32, outAtHome: 0.52, conceded: 0.28, scoresIfHolding: 0.1 },
  back: { through: 0.23, outAtHome: 0.08, conceded: 0.86, scoresIfHolding: 0.55 },
};

/** A team's own sheets in place of the level's; what is missing is the level's. */
export interface PlayChanges {
  rates?: BattingRates;
  bunt?: BuntOutcomes;
  squeeze?: SqueezeOutcomes;
  contactIn?: ContactShares;
  contactBack?: ContactShares;
}

/** How the game goes for a team: its level, with its own sheets in it. */
export interface TeamLevel extends PlayLevel {
  squeeze: SqueezeOutcomes;
  contact: Record<Infield, ContactShares>;
}

const SHEETS = ['rates', 'bunt', 'squeeze'] as const;
const CONTACT_SHEETS = { in: 'contactIn', back: 'contactBack' } as const;

/** Fewer outs in play than this and halves do not end, nor can a batter's own counts be set beside them. */
const FEWEST_IN_PLAY = 0.2;

/** Which sheet of a team's own does not add up, and why; null when all do. */
export function describeChangesMisfit(
  changes: PlayChanges,
): { path: keyof PlayChanges; message: string } | null {
  for (const path of SHEETS) {
    const message = changes[path] ? describeSharesMisfit(changes[path]) : null;
    if (message !== null) return { path, message };
  }
  const { rates } = changes;
  if (rates && rates.groundOut + rates.flyOut + rates.popLineOut < FEWEST_IN_PLAY) {
    const message = 'Ground outs, fly outs and pop-ups need to total at least 20%.';
    return { path: 'rates', message };
  }
  for (const infield of INFIELDS) {
    const path = CONTACT_SHEETS[infield];
    const shares = changes[path];
    if (shares && shares.outAtHome + shares.conceded > 1 + 1e-9) {
      const message = 'Out at home and run conceded cannot total more than 100%.';
      return { path, message };
    }
  }
  return null;
}

/** The same where the rules allow no steals: nobody goes on his own. */
export function withoutSteals(level: TeamLevel): TeamLevel {
  return { ...level, advance: { ...level.advance, stealSecondTry: 0, stealThirdTry: 0 } };
}

/**
 * A level with a team's own sheets in place of the level's.
 * @throws RangeError when one does not add up, with the reason
 */
export function playLevelOf(name: LevelName, changes: PlayChanges): TeamLevel {
  const misfit = describeChangesMisfit(changes);
  if (misfit) throw new RangeError(`playLevelOf: ${misfit.path}: ${misfit.message}`);
  const level = PLAY_LEVELS[name];
  return {
    ...level,
    rates: changes.rates ?? level.rates,
    bunt: changes.bunt ?? level.bunt,
    squeeze: changes.squeeze ?? USUAL_SQUEEZE,
    contact: {
      in: changes.contactIn ?? CONTACT.in,
      back: changes.contactBack ?? CONTACT.back,
    },
  };
}
