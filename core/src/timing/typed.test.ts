import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typedSeconds } from './typed.ts';

describe('typed seconds', () => {
  it.each([
    ['1.41', 1.41],
    ['141', 1.41],
    ['1,41', 1.41],
    ['.95', 0.95],
    ['95', 0.95],
    [' 3.4 s', 3.4],
    ['1204', 12.04],
    ['2', 2],
    ['-12', -0.12],
    ['-.12', -0.12],
    ['2.083', 2.083],
  ])('%s', (text, seconds) => {
    expect(typedSeconds(text)).toBe(seconds);
  });

  it.each(['', ' ', 'abc', '1.4.1', '.', '1:41', '14100', '1e2', '--1', '1 41', '0x1'])(
    'not %s',
    (text) => {
      expect(typedSeconds(text)).toBeNull();
    },
  );

  it('means the same with the point, with a comma and without', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 9999 }), (hundredths) => {
        const text = (hundredths / 100).toFixed(2);
        const value = typedSeconds(text);
        expect(value).toBe(Number(text));
        expect(typedSeconds(text.replace('.', ','))).toBe(value);
        expect(typedSeconds(String(hundredths))).toBe(hundredths / 100);
      }),
    );
  });
});
