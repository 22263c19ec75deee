import lineUps from '../vectors/games/lineups.json';
import rulesets from '../vectors/games/rulesets.json';
import whole from '../vectors/games/whole-games.json';
import type { GameEvent } from '../src/games/events.ts';
import { gameReader, readGame } from '../src/games/reading.ts';
import { medianMs, type Print } from './median.ts';

const ROUNDS = 40;

/** A whole game, as it was told. */
function aGame(): GameEvent[] {
  const events = whole.cases[0]?.events ?? [];
  return events.map((event) =>
    event.kind === 'opened'
      ? {
          ...event,
          rules: rulesets.fullSizeSeven,
          away: lineUps.awayNine,
          home: lineUps.homeNine,
        }
      : event,
  ) as unknown as GameEvent[];
}

/** A game read whole, and one entry more early and late in it. @public asked for by scripts/bench.mjs */
export function benchGames(print: Print): void {
  const events = aGame();
  const count = events.length;
  print(
    `games-read-${String(count)}-entries`,
    medianMs(ROUNDS, () => readGame(events)),
    'ms',
  );
  for (const after of [4, count - 2]) {
    const next = events.slice(0, after + 1);
    // Each reader has read so far already, and reads the entry that is measured once.
    const readers = Array.from({ length: 2 * ROUNDS }, () => {
      const read = gameReader();
      read(events.slice(0, after));
      return read;
    });
    const wait = medianMs(ROUNDS, () => readers.pop()?.(next));
    print(`games-one-more-entry-at-${String(after)}`, wait * 1000, 'us');
  }
}
