import { startLineUp } from '@bradyon/core/games';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import {
  atPosition,
  lineUpMisfit,
  onlyNumber,
  readNumbers,
  withBatter,
  withFlex,
  withoutBatter,
} from './lineUps.ts';

const somebody = (number: string, ...positions: Person['positions']): Person => ({
  ...onlyNumber(`p${number}` as PersonId, null, number),
  positions,
});
const roster = [
  somebody('1', 'P'),
  somebody('2', 'C'),
  somebody('3', '1B', '2B'),
  somebody('4', '2B'),
  somebody('5', '3B'),
  somebody('6', 'SS'),
  somebody('7', 'LF'),
  somebody('8', 'CF'),
  somebody('9', 'RF', 'P'),
  somebody('10', 'C'),
];
const start = startLineUp(roster, { last: null, order: [] });

describe('a lineup to start from', () => {
  it('has the first nine of the roster where they play, and the rest on the bench', () => {
    expect(start.order.map(({ pos }) => pos)).toEqual([
      'P',
      'C',
      '1B',
      '2B',
      '3B',
      'SS',
      'LF',
      'CF',
      'RF',
    ]);
    expect(start.bench).toEqual(['p10']);
    expect(lineUpMisfit(start)).toBeNull();
  });

  it('is last game’s without whoever has gone', () => {
    const last = { ...start, order: start.order.toReversed() };
    const left = roster.filter(({ number }) => number !== '7');
    const next = startLineUp(left, { last, order: [] });
    expect(next.order.map(({ id }) => id)).toEqual([
      'p9',
      'p8',
      'p6',
      'p5',
      'p4',
      'p3',
      'p2',
      'p1',
    ]);
    expect(next.bench).toEqual(['p10']);
  });

  it('is the kept order where there was no game', () => {
    const order = ['p10', 'p1', 'p3'] as PersonId[];
    const next = startLineUp(roster, { last: null, order });
    expect(next.order.map(({ id, pos }) => [id, pos])).toEqual([
      ['p10', 'C'],
      ['p1', 'P'],
      ['p3', '1B'],
    ]);
  });
});

describe('a change of positions', () => {
  it('swaps two, so that nobody is ever twice at one', () => {
    const next = atPosition(start, 'p9' as PersonId, 'P');
    expect(next.order.find(({ id }) => id === 'p9')?.pos).toBe('P');
    expect(next.order.find(({ id }) => id === 'p1')?.pos).toBe('RF');
    expect(lineUpMisfit(next)).toBeNull();
  });

  it('asks whom a designated hitter bats for, and forgets it with the role', () => {
    const gone = withoutBatter(start, 'p1' as PersonId);
    const dh = atPosition(withBatter(gone, somebody('10', 'C')), 'p10' as PersonId, 'DH');
    expect(lineUpMisfit(dh)).toBe('Choose who the DH bats for.');
    const whole = withFlex(dh, 'p1' as PersonId);
    expect(whole.flex).toEqual({ id: 'p1', pos: 'P' });
    expect(lineUpMisfit(whole)).toBeNull();
    expect(atPosition(whole, 'p10' as PersonId, 'EH').flex).toBeNull();
  });
});

describe('numbers as they are typed', () => {
  it('name those who are known, in order, and say which are new', () => {
    expect(readNumbers('4, 1 44', roster)).toEqual({
      ids: ['p4', 'p1', null],
      numbers: ['4', '1', '44'],
      wrong: null,
    });
  });
  it('are refused by the one that is wrong', () => {
    expect(readNumbers('4 x 1', roster).wrong).toBe('x');
    expect(readNumbers('4 1 4', roster).wrong).toBe('4');
  });
});
