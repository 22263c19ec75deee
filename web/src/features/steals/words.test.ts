import type { Team } from '@bradyon/contract/teams';
import type { Person } from '@bradyon/core/people';
import { PRESETS } from '@bradyon/core/rules';
import { callSteal, raceOf, type TimeInUse } from '@bradyon/core/steals';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { lanesOf, wordsOf } from './words.ts';

const skuas: Team = {
  id: 'team' as TeamId,
  name: 'Tern Rock Skuas',
  level: 'hs',
  ruleset: PRESETS.fullSizeSeven,
  neededMarginSeconds: 0.06,
  throwLimits: { pitcher: null, catcher: null },
  role: 'owner',
};
const person = (name: string): Person => ({
  id: name as PersonId,
  opponentId: null,
  number: '',
  name,
  throws: 'right',
  bats: 'right',
  positions: [],
  retired: false,
});
const names = { pitcher: person('Ruiz'), catcher: person('Vance'), runner: person('Dara') };

const timed = (seconds: number, giveOrTakeSeconds: number | null = 0.06): TimeInUse => ({
  seconds,
  basis: 'timed',
  count: 5,
  giveOrTakeSeconds,
});
const typical = (seconds: number): TimeInUse => ({
  seconds,
  basis: 'typical',
  count: 0,
  giveOrTakeSeconds: null,
});

function stealOf(delivery: TimeInUse, run = timed(3.3), team = skuas) {
  const times = { delivery, pop: timed(2.1, 0.08), tag: typical(0.1), jump: typical(0.13), run };
  const race = raceOf(times, 'hs');
  const call = callSteal(race, team.neededMarginSeconds);
  const words = wordsOf({ race, call, base: 'second', style: 'legLift', names, team });
  // Figures hold on to their unit with a space that does not break.
  return {
    race,
    words: JSON.parse(JSON.stringify(words).replaceAll('\u00a0', ' ')) as typeof words,
  };
}

describe('the words of a steal', () => {
  it('say what he has to spare and what he needs', () => {
    expect(stealOf(timed(1.4)).words.answer).toBe('0.17 s, 4.5 ft to spare. He needs 0.06 s.');
    expect(stealOf(timed(1.25)).words.answer).toContain('but he needs 0.06 s');
    expect(stealOf(timed(1.1)).words.answer).toBe('0.13 s, 3.5 ft short: the ball is there first.');
  });

  it('round the threshold up, never down', () => {
    expect(stealOf(timed(1.4)).words.threshold).toBe('Go if his delivery takes 1.29 s or more.');
    const odd = { ...skuas, neededMarginSeconds: 0.065 };
    expect(stealOf(timed(1.4), timed(3.3), odd).words.threshold).toBe(
      'Go if his delivery takes 1.30 s or more.',
    );
  });

  it('name who has to be timed, and promise nothing until then', () => {
    const { words } = stealOf(typical(1.42), typical(3.7));
    expect(words.answer).toBe("Time Ruiz's delivery and Dara's steal of second first.");
    expect(words.threshold).toBeNull();
    expect(words.assumed).toContain('Hatched');
  });

  it('tell a screen reader every leg and what it rests on', () => {
    expect(stealOf(timed(1.4)).words.twin).toContain(
      'delivery 1.40 s (5 timed), catch and throw 2.10 s',
    );
  });
});

describe('lanesOf', () => {
  it('adds the spreads of independent legs as squares', () => {
    const [ball, runner] = lanesOf(stealOf(timed(1.4)).race);
    expect(ball.spreadSeconds).toBeCloseTo(0.1, 9);
    expect(runner.spreadSeconds).toBeCloseTo(0.06, 9);
  });

  it('claims no spread where nothing was timed twice', () => {
    const [, runner] = lanesOf(stealOf(timed(1.4), timed(3.3, null)).race);
    expect(runner.spreadSeconds).toBeNull();
  });
});
