import { ageAt, type KeptRep } from '@bradyon/core/drills';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { needsOf, type KnownOfPlayer, type TeamAtPractice } from './needsOf.ts';

const person: Person = {
  id: 'one' as PersonId,
  opponentId: null,
  number: '4',
  name: 'Dara',
  throws: 'right',
  bats: 'right',
  positions: ['CF'],
  leadFeet: null,
  retired: false,
};
const now = new Date('2031-05-20T12:00:00.000Z');
const team: TeamAtPractice = {
  leavesAtRelease: false,
  buntAllowed: true,
  sport: 'baseball',
  sprints: 20,
  now,
};
const known = (parts: Partial<KnownOfPlayer> = {}): KnownOfPlayer => ({
  person,
  readings: [],
  reps: [],
  bunts: [],
  lastDive: null,
  signsDue: null,
  byGames: {},
  ...parts,
});
const needed = (parts: Partial<KnownOfPlayer> = {}, at: Partial<TeamAtPractice> = {}) =>
  needsOf(known(parts), { ...team, ...at }).needs;

describe('what a player lacks', () => {
  it('is most where nothing is known, and nothing that their rules do not have', () => {
    expect(needed()).toMatchObject({ steals: 1, dives: 1, starts: 0.7, reads: 0.7, leaves: 0 });
    const little = needed({}, { leavesAtRelease: true, buntAllowed: false });
    expect(little).toMatchObject({ dives: 0, leaves: 0.7, bunts: 0, squeeze: 0 });
    expect(needsOf(known(), { ...team, sprints: 7 }).sprintsLeft).toBe(7);
    expect(ageAt('fpCollege')).toBeGreaterThan(ageAt('fpHs'));
  });

  it('falls with times that are many and fresh, and grows as they get old', () => {
    const times = (count: number, takenAt: string, asideReason: 'wrong tap' | null = null) =>
      Array.from({ length: count }, () => ({ kind: 'steal' as const, takenAt, asideReason }));
    const fresh = '2031-05-18T12:00:00.000Z';
    expect(needed({ readings: times(6, fresh) }).steals).toBe(0);
    expect(needed({ readings: times(3, fresh) }).steals).toBe(0.5);
    expect(needed({ readings: times(6, '2031-04-01T12:00:00.000Z') }).steals).toBeGreaterThan(0.5);
    // What was set aside was never timed.
    expect(needed({ readings: times(6, fresh, 'wrong tap') }).steals).toBe(1);
  });

  it('asks pitchers and catchers to throw, and nobody else', () => {
    expect(needed().throws).toBe(0);
    expect(needed({ person: { ...person, positions: ['C'] } }).throws).toBe(1);
  });

  it('is less for whoever gets bunts down, and sending is for who coaches a base', () => {
    const bunts = (fair: number, of: number) =>
      Array.from({ length: of }, (_, nth) => ({
        result: nth < fair ? ('fair' as const) : ('foul' as const),
        aimed: null,
        lane: nth < fair ? ('third' as const) : null,
        calledPace: null,
        pace: null,
        height: null,
        style: 'square' as const,
      }));
    const good = needed({ bunts: bunts(28, 30) }).bunts ?? 9;
    const poor = needed({ bunts: bunts(9, 30) }).bunts ?? 0;
    expect(good).toBeLessThan(0.1);
    expect(poor).toBeGreaterThan(0.8);
    expect(needed().sendHold).toBe(0);
  });

  it('asks for signs that are due, and for some of them while nobody knows', () => {
    expect(needed().signs).toBe(0.3);
    expect(needed({ signsDue: 0 }).signs).toBe(0);
    expect(needed({ signsDue: 3 }).signs).toBe(0.5);
    expect(needed({ signsDue: 40 }).signs).toBe(1);
  });

  it('asks for squeezes until they are shown in time', () => {
    const squeezes = (showSeconds: number): KeptRep[] =>
      Array.from({ length: 10 }, () => ({
        personId: person.id,
        takenAt: '2031-05-18T12:00:00.000Z',
        rep: { drill: 'squeeze', session: 's', showSeconds, breakSeconds: null, outcome: 'down' },
      }));
    expect(needed().squeeze).toBe(0.7);
    expect(needed({ reps: squeezes(0.14) }).squeeze).toBe(0);
    expect(needed({ reps: squeezes(0.3) }).squeeze).toBe(1);
    // What is on time in baseball is late in softball.
    expect(needed({ reps: squeezes(0.14) }, { sport: 'softball' }).squeeze).toBe(1);
  });
});
