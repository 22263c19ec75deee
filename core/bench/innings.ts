import {
  byWin,
  chainOf,
  PLAY_LEVELS,
  plainRules,
  policyByWin,
  runDistributions,
  runExpectancies,
  sideOf,
  tacticsOf,
  winBook,
  type Batting,
  type Chain,
} from '../src/innings/index.ts';
import { makeRandom, type Random } from '../src/maths/index.ts';
import { medianMs, type Print } from './median.ts';

const level = PLAY_LEVELS.hs;
const rules = plainRules(9);
const QUERIES = 10_000;
const GAMES = 20_000;
/** Draws have to reach what the vectors are held to. */
const PRECISION = 1e-6;

/** The chain, the book of a game, line-ups, the best choices, and the book by playing games out instead. @public asked for by scripts/bench.mjs */
export function benchInnings(print: Print): void {
  const chain = chainOf(level);
  print(
    'chain',
    medianMs(100, () => void chainOf(level)),
    'ms',
  );
  print(
    'run-expectancies',
    medianMs(200, () => void runExpectancies(chain)),
    'ms',
  );
  print(
    'run-distributions',
    medianMs(200, () => void runDistributions(chain)),
    'ms',
  );
  const average = sideOf([level]);
  const bookMs = medianMs(30, () => void winBook(average, average, rules));
  print('book-of-a-9-inning-game', bookMs, 'ms');

  const batters = Array.from({ length: 9 }, (_, spot): Batting => {
    const moved = (4 - spot) * 0.004;
    const { single, groundOut } = level.rates;
    return {
      ...level,
      rates: { ...level.rates, single: single + moved, groundOut: groundOut - moved },
    };
  });
  print(
    'line-up-joint',
    medianMs(20, () => void sideOf(batters)),
    'ms',
  );
  const lineup = sideOf(batters);
  print(
    'book-line-up-against-average',
    medianMs(10, () => void winBook(lineup, average, rules)),
    'ms',
  );
  print(
    'book-line-up-against-line-up',
    medianMs(5, () => void winBook(lineup, lineup, rules)),
    'ms',
  );

  const tactics = tacticsOf(level, level.bunt, level.twoStrikeFactor, {
    second: 0.8,
    third: 0.8,
    double: 0.8,
  });
  print(
    'best-choices-of-a-game',
    medianMs(5, () => void policyByWin([tactics], [tactics], rules)),
    'ms',
  );
  const nine = batters.map((batting) =>
    tacticsOf(batting, level.bunt, level.twoStrikeFactor, tactics.steals),
  );
  print(
    'best-choices-of-a-line-up',
    medianMs(3, () => void policyByWin(nine, [tactics], { ...rules, clip: 15 })),
    'ms',
  );

  const book = winBook(average, average, rules);
  const value = byWin(book, { inning: 5, half: 'top', homeLead: 1 });
  print(
    '10000-in-half-queries',
    medianMs(5, () => {
      for (let query = 0; query < QUERIES; query += 1) value(query % 8, query % 3, 0);
    }),
    'ms',
  );

  const random = makeRandom(23);
  let won = 0;
  const playedMs = medianMs(3, () => {
    won = 0;
    for (let game = 0; game < GAMES; game += 1) won += playGame(chain, random) ? 1 : 0;
  });
  const needed = 0.25 / PRECISION ** 2;
  print(
    'book-less-played',
    book.at({ inning: 1, half: 'top', homeLead: 0, state: 0 }) - won / GAMES,
    'chance',
  );
  print('book-played-to-solved', ((playedMs / GAMES) * needed) / bookMs, 'ratio');
}

/** Plays one game out, both teams alike. */
function playGame(chain: Chain, random: Random): boolean {
  let lead = 0;
  for (let inning = 1; ; inning += 1) {
    lead -= playHalf(chain, random);
    if (inning >= rules.innings && lead > 0) return true;
    lead += playHalf(chain, random);
    if (inning >= rules.innings && lead !== 0) return lead > 0;
  }
}

function playHalf(chain: Chain, random: Random): number {
  let [state, runs] = [0, 0];
  while (state < 24) {
    let lot = random();
    const steps = chain[state] ?? [];
    const step = steps.find(({ chance }) => (lot -= chance) <= 0) ?? steps.at(-1);
    if (!step) break;
    runs += step.runs;
    state = step.to;
  }
  return runs;
}
