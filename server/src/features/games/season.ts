import { setImmediate } from 'node:timers/promises';
import type { GameLook } from '@bradyon/contract/bases';
import type { GameBunt } from '@bradyon/contract/bunts';
import { eventOf } from '@bradyon/contract/games';
import type { BattingRecord } from '@bradyon/contract/innings';
import type { Season } from '@bradyon/contract/review';
import {
  battingOf,
  boundedTellings,
  boxOf,
  buntsOf,
  looksOf,
  readGame,
  type GameEvent,
} from '@bradyon/core/games';
import { totalsTogether, type BattingTotals } from '@bradyon/core/innings';
import { callsIn, habitsIn, seasonCallOf } from '@bradyon/core/review';
import type { PersonId } from '@bradyon/core/units';
import type { Tx } from '../../db/query.ts';
import { selectAllEntries, selectGames } from './games.sql.ts';

type KeptGame = Awaited<ReturnType<typeof selectGames>>[number];

const MOST_KNOWN = 2000;

/** Entries never change, so that a game of so many entries comes to the same for ever: it is worked out once. */
function ofEach<Made>(
  make: (events: readonly GameEvent[], game: KeptGame) => Made,
): (tx: Tx) => Promise<Made[]> {
  const known = new Map<string, Made>();
  return async (tx) => {
    const all: Made[] = [];
    for (const game of await selectGames(tx)) {
      const { id, lastSeq, startsAt, opponentId } = game;
      if (lastSeq === 0) continue;
      const key = `${id} ${String(lastSeq)} ${startsAt} ${opponentId ?? ''}`;
      const kept = known.get(key);
      const made =
        kept ?? make(boundedTellings((await selectAllEntries(tx, id)).map(eventOf)), game);
      // Whoever else asks meanwhile is answered between two games.
      if (!kept) await setImmediate();
      if (known.size >= MOST_KNOWN) known.clear();
      known.set(key, made);
      all.push(made);
    }
    return all;
  };
}

const atBat = ofEach((events) => {
  const { state } = readGame(events);
  return {
    batting: battingOf(state),
    looks: looksOf(state),
    bunts: buntsOf(state).map(({ personId, bunt }) => ({ personId, ...bunt })),
  };
});

/** Apart from the rest: a game is read step by step for it, which takes ten times as long. */
const reviewed = ofEach((events, { id, startsAt, opponentId, weAreHome }) => {
  const ours = weAreHome ? 'home' : 'away';
  const { outsOnBases } = boxOf(readGame(events).state);
  const about = { gameId: id, startsAt, opponentId };
  return {
    calls: callsIn(events).flatMap((each) => seasonCallOf(about, each) ?? []),
    habits: habitsIn(events, ours).map((each) => ({ ...each, startsAt })),
    outsStealing: outsOnBases.filter(({ side, kind }) => side === ours && kind === 'steal').length,
  };
});

/** What everybody did at bat in all games of the team in scope, worked out from the entries. */
export async function seasonOf(tx: Tx): Promise<BattingRecord[]> {
  const totals = new Map<PersonId, BattingTotals[]>();
  for (const { batting } of await atBat(tx)) {
    for (const [personId, own] of batting) {
      const before = totals.get(personId);
      if (before) before.push(own);
      else totals.set(personId, [own]);
    }
  }
  return [...totals]
    .map(([personId, all]): BattingRecord => ({ personId, ...totalsTogether(all) }))
    .filter(({ plateAppearances }) => plateAppearances > 0);
}

/** Every bunt of all games of the team in scope. */
export async function buntsOfSeason(tx: Tx): Promise<GameBunt[]> {
  return (await atBat(tx)).flatMap(({ bunts }) => bunts);
}

/** What all games of the team in scope showed of outfielders. */
export async function looksOfSeason(tx: Tx): Promise<GameLook[]> {
  return (await atBat(tx)).flatMap(({ looks }) => looks);
}

/** Every call of all games of the team in scope, and what they showed of the people we faced. */
export async function callsOfSeason(tx: Tx): Promise<Season> {
  const games = await reviewed(tx);
  return {
    calls: games.flatMap(({ calls }) => calls),
    habits: games.flatMap(({ habits }) => habits),
    outsStealing: games.reduce((sum, { outsStealing }) => sum + outsStealing, 0),
  };
}
