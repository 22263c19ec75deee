import { progressOf, type KeptRep, type StartRep } from '@bradyon/core/drills';
import { describe, expect, it } from 'vitest';
import { changeText, progressTitle } from './words.ts';

const start = (day: string, tapSeconds: number): KeptRep => ({
  personId: null,
  takenAt: `${day}T10:00:00.000Z`,
  rep: {
    drill: 'start',
    session: day,
    calls: 'go',
    technique: 'own',
    measure: 'coachTap',
    call: 'go',
    sense: 'heard',
    tapSeconds,
    outputLateSeconds: 0.06,
    handsSeconds: 0,
    way: 'go',
  } satisfies StartRep,
});
const starts = (day: string, seconds: number): KeptRep[] =>
  Array.from({ length: 12 }, (_, nth) => start(day, seconds + 0.16 + (nth % 4) * 0.01));
const bunts = (day: string, fair: number) =>
  Array.from({ length: 40 }, (_, nth) => ({ takenAt: `${day}T11:00:00.000Z`, fair: nth < fair }));
const lineOf = (reps: KeptRep[], own: ReturnType<typeof bunts> = []) => {
  const [line] = progressOf(reps, own, 'baseball', (instant) => instant.slice(0, 10));
  if (!line) throw new Error('nothing to follow');
  return line;
};

describe('progress in words', () => {
  it('says what changed and by how much, and never more than can be told', () => {
    const quicker = lineOf([...starts('2031-05-01', 0.3), ...starts('2031-05-08', 0.22)]);
    expect(progressTitle(quicker)).toBe('Start, heard, coach taps');
    expect(changeText(quicker)).toMatch(/^Quicker by .08\u00a0s, give or take .0\d\.$/);
    const slower = lineOf([...starts('2031-05-01', 0.2), ...starts('2031-05-08', 0.3)]);
    expect(changeText(slower)).toMatch(/^Slower by/);
    const same = lineOf([...starts('2031-05-01', 0.3), ...starts('2031-05-08', 0.3)]);
    expect(changeText(same)).toBe('Too close to call.');
    expect(changeText(lineOf(starts('2031-05-01', 0.3)))).toBe('One day so far.');
  });

  it('counts shares in points', () => {
    const line = lineOf([], [...bunts('2031-05-01', 15), ...bunts('2031-05-08', 32)]);
    expect(progressTitle(line)).toBe('Bunts fair');
    expect(changeText(line)).toMatch(/^Up by 4\d points, give or take 1\d\.$/);
  });
});
