import {
  gameRulesOf,
  PLAY_LEVELS,
  policyByWin,
  STATES,
  tacticsOf,
  type Action,
  type StealChances,
} from '@bradyon/core/innings';
import type { Ruleset } from '@bradyon/core/rules';
import type { LevelName } from '@bradyon/core/timing';

/** What is asked of the worker. */
export interface BestQuestion {
  serial: number;
  level: LevelName;
  ruleset: Ruleset;
  steals: StealChances;
  inning: number;
  half: 'top' | 'bottom';
  leads: number[];
}

/** The best choice for us in each state, lead by lead. */
export interface BestAnswer {
  serial: number;
  actions: Action[][];
}

// Both teams choose as well as they can, the other with what is usual at the level.
globalThis.addEventListener('message', ({ data }: MessageEvent<BestQuestion>) => {
  const { serial, ruleset, steals, inning, half, leads } = data;
  const level = PLAY_LEVELS[data.level];
  const { stealSecondSafe: second, stealThirdSafe: third } = level.advance;
  const tactics = (chances: StealChances) =>
    tacticsOf(level, level.bunt, level.twoStrikeFactor, chances);
  const ours = tactics(steals);
  const theirs = tactics({ second, third, double: third });
  const [home, away] = half === 'bottom' ? [ours, theirs] : [theirs, ours];
  const policy = policyByWin(home, away, { ...gameRulesOf(ruleset), clip: 15 });
  const actions = leads.map((lead) =>
    Array.from({ length: STATES }, (_, state) => {
      const homeLead = half === 'bottom' ? lead : -lead;
      return policy.at({ inning, half, homeLead, state }).action;
    }),
  );
  globalThis.postMessage({ serial, actions } satisfies BestAnswer);
});
