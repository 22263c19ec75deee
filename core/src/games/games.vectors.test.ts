import { describe, expect, it } from 'vitest';
import ballsInPlay from '../../vectors/games/balls-in-play.json';
import devices from '../../vectors/games/devices.json';
import ends from '../../vectors/games/ends.json';
import lineUpCases from '../../vectors/games/line-ups.json';
import pitches from '../../vectors/games/pitches.json';
import proposals from '../../vectors/games/proposals.json';
import runners from '../../vectors/games/runners.json';
import undoAndCorrection from '../../vectors/games/undo-and-correction.json';
import wholeGames from '../../vectors/games/whole-games.json';
import lineUpsJson from '../../vectors/games/lineups.json';
import reasons from '../../vectors/games/reasons.json';
import rulesetsJson from '../../vectors/games/rulesets.json';
import { countsOf } from './counts.ts';
import type { GameEvent, LineUp, Move, PlayRules } from './events.ts';
import { proposeRunners } from './proposals.ts';
import { readGame } from './reading.ts';
import { REASONS } from './reasons.ts';
import { situationOf } from './situation.ts';

interface Check {
  after: number;
  expect: Record<string, unknown>;
  flagged: { id: string; code: string }[];
  conflicts?: unknown[];
}
interface Case {
  name: string;
  events: (Record<string, unknown> & { kind: string })[];
  checks?: Check[];
  proposals?: { after: number; draft: Record<string, unknown>; runners: Move[] }[];
}

const rulesets = rulesetsJson as unknown as Record<string, PlayRules>;
const lineUps = lineUpsJson as unknown as Record<string, LineUp>;
const named = <T>(all: Record<string, T>, value: unknown): T =>
  typeof value === 'string' ? (all[value] as T) : (value as T);

/** Names of rules and line-ups put in. */
function eventsOf({ events }: Case): GameEvent[] {
  return events.map((event) =>
    event.kind === 'opened'
      ? {
          ...event,
          rules: named(rulesets, event['rules']),
          away: named(lineUps, event['away']),
          home: named(lineUps, event['home']),
        }
      : event,
  ) as unknown as GameEvent[];
}

/** Only what the vector names, at whatever depth; lists are compared whole. */
function onlyNamed(value: unknown, like: unknown): unknown {
  if (typeof like !== 'object' || like === null || Array.isArray(like)) return value;
  const from = (typeof value === 'object' && value !== null ? value : {}) as Record<
    string,
    unknown
  >;
  return Object.fromEntries(
    Object.entries(like).map(([name, part]) => [name, onlyNamed(from[name], part)]),
  );
}
const WHOLE = ['flex', 'courtesy'];

const FILES = {
  'balls-in-play': ballsInPlay,
  devices: devices,
  ends: ends,
  'line-ups': lineUpCases,
  pitches: pitches,
  proposals: proposals,
  runners: runners,
  'undo-and-correction': undoAndCorrection,
  'whole-games': wholeGames,
};

it('has a reason in words for every code of the model', () => {
  expect(Object.keys(REASONS).toSorted()).toEqual(Object.keys(reasons).toSorted());
});

describe.each(Object.entries(FILES))('%s', (_file, { cases: all }) => {
  const cases = all as unknown as Case[];
  it.each(cases.map((each) => [each.name, each] as const))('%s', (_name, vector) => {
    const events = eventsOf(vector);
    for (const { after, expect: wanted, flagged, conflicts = [] } of vector.checks ?? []) {
      const reading = readGame(events.slice(0, after));
      const shown: Record<string, unknown> = {
        ...situationOf(reading.state),
        counts: countsOf(reading.state),
      };
      const found = Object.fromEntries(
        Object.entries(wanted).map(([name, like]) => [
          name,
          WHOLE.includes(name) && JSON.stringify(like) === '{}' ? {} : onlyNamed(shown[name], like),
        ]),
      );
      expect({ after, ...found }).toEqual({ after, ...wanted });
      expect(reading.flagged).toEqual(flagged.map(({ id, code }) => ({ id, code })));
      expect(reading.conflicts).toEqual(conflicts);
    }
    for (const { after, draft, runners } of vector.proposals ?? []) {
      const { state } = readGame(events.slice(0, after));
      expect(proposeRunners(state, draft as never)).toEqual(runners);
    }
  });
});
