import type { SignAnswerRecord } from '@bradyon/contract/signs';
import { drawn, normalDraw, type Random } from '@bradyon/core/maths';
import {
  newSystem,
  phraseFor,
  SIGN_PLAYS,
  type SignBook,
  type SignSystem,
} from '@bradyon/core/signs';
import type { PersonId, SignAnswerId, SignVersionId, TeamId } from '@bradyon/core/units';
import type { SignKey } from '../signKeys.ts';
import type { Tx } from '../db/query.ts';
import { insertAnswers, makeVault, saveBook } from '../features/signs/index.ts';
import { makeUuid } from './uuid.ts';
import type { DemoTeam } from './world.ts';

const MS_PER_DAY = 86_400_000;
const ANSWERS_EACH = 14;

/** The signs of a team of the demo, and how its players took them in practice. */
export async function insertDemoSigns(
  tx: Tx,
  {
    random,
    team,
    teamId,
    players,
    today,
    signKeys,
  }: {
    random: Random;
    team: DemoTeam;
    teamId: TeamId;
    players: readonly PersonId[];
    today: Date;
    signKeys: readonly SignKey[];
  },
): Promise<void> {
  const system = team.signs === 'count' ? counted(random) : rotating(random);
  const at = new Date(today.getTime() - 20 * MS_PER_DAY).toISOString();
  const phrase = system.scheme.kind === 'count' ? phraseFor(system.scheme.list) : '';
  const id = makeUuid(random) as SignVersionId;
  const book: SignBook = {
    versions: [{ id, at, system, phrase }],
    series: null,
    cards: [],
    card: 0,
  };
  const vault = makeVault(signKeys);
  const key = vault.freshKey(teamId);
  await saveBook(tx, { ...key, sealed: vault.sealBook(book, key, teamId), version: 0 });
  const answers = players.flatMap((player, index) =>
    // Some have not drilled yet.
    index % 5 === 4 ? [] : answersOf(random, player, system, today, index),
  );
  for (let from = 0; from < answers.length; from += 200)
    await insertAnswers(tx, answers.slice(from, from + 200));
}

/** A list with the squeeze beside the bunt: one touch missed turns one into the other, and the screen says so. */
function counted(random: Random): SignSystem {
  const system = newSystem('count', SIGN_PLAYS.slice(0, 5), random);
  const list = ['steal', 'bunt', 'squeeze', 'hitAndRun', 'take'];
  return { ...system, scheme: { kind: 'count', list, until: { stop: 'clap' } } };
}

function rotating(random: Random): SignSystem {
  const system = newSystem('indicator', SIGN_PLAYS.slice(0, 6), random);
  const indicator = { kind: 'byInning' as const, touches: ['belt', 'hip', 'shoulder'] };
  return { ...system, touches: [...system.touches, 'hip', 'shoulder'], indicator };
}

function answersOf(
  random: Random,
  personId: PersonId,
  { plays }: SignSystem,
  today: Date,
  index: number,
): SignAnswerRecord[] {
  // Each a little surer than the one before, and one who is not.
  const misses = index === 2 ? 0.4 : 0.22 - 0.012 * Math.min(14, index);
  const weights = [...plays.map(({ weight }) => weight), 9];
  const other = (than: string | null): string | null =>
    plays.map(({ id }) => id).find((id) => id !== than && random() < 0.4) ?? null;
  return Array.from({ length: ANSWERS_EACH }, (_, nth) => {
    const meant = plays[drawn(weights, random)]?.id ?? null;
    const daysAgo = 16 - nth + random() * 0.4;
    return {
      id: makeUuid(random) as SignAnswerId,
      personId,
      meant,
      answered: random() < misses ? other(meant) : meant,
      seconds: Math.round(100 * Math.max(0.5, normalDraw(random, 1.5, 0.5))) / 100,
      takenAt: new Date(today.getTime() - daysAgo * MS_PER_DAY).toISOString(),
    };
  });
}
