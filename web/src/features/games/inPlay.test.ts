import { describe, expect, it } from 'vitest';
import { alongLines, endsFor, fielderAt, inField, movesOf } from './inPlay.ts';

describe('a ball in play', () => {
  it('has its place in feet along the lines, and back in the picture', () => {
    const first = alongLines({ x: 90 / Math.SQRT2, y: 90 / Math.SQRT2 });
    expect(first.x).toBeCloseTo(90, 9);
    expect(first.y).toBeCloseTo(0, 9);
    const back = inField(alongLines({ x: -37, y: 210 }));
    expect(back.x).toBeCloseTo(-37, 9);
    expect(back.y).toBeCloseTo(210, 9);
  });

  it('is fielded by whoever is nearest, on a small diamond too', () => {
    expect(fielderAt({ x: 100, y: 230 }, 90)).toBe('LF');
    expect(fielderAt({ x: 80, y: 120 }, 90)).toBe('SS');
    expect(fielderAt({ x: 65, y: 65 }, 60)).not.toBe('P');
  });

  it('tells runs before outs, so that a time play counts them', () => {
    expect(movesOf({ third: 'home', first: 'out second', second: 'third' })).toEqual([
      { from: 'third', to: 'home' },
      { from: 'second', to: 'third' },
      { from: 'first', out: 'second' },
    ]);
    expect(movesOf({ first: '', batter: '' })).toEqual([]);
  });

  it('offers no runner a base behind them', () => {
    const values = endsFor('second').map(({ value }) => value);
    expect(values).not.toContain('first');
    expect(values).toContain('out second');
    expect(endsFor('batter').map(({ value }) => value)).toContain('first');
  });
});
