import { describe, expect, it } from 'vitest';
import { savingWords } from './saving.ts';

const calm = { waiting: 0, unkept: 0, isFull: false, isOnline: true, trouble: null, inTray: 0 };

describe('the line about saving', () => {
  it.each([
    [{}, 'All saved'],
    [{ inTray: 2 }, ''],
    [{ inTray: 2, waiting: 1 }, '1 on this device'],
    [{ isOnline: false }, 'Offline'],
    [{ waiting: 2 }, '2 on this device'],
    [{ waiting: 2, isOnline: false }, 'Offline, 2 on this device'],
    [{ waiting: 2, trouble: 'The database is restarting.' }, 'Server away, 2 on this device'],
    [{ trouble: 'The database is restarting.' }, 'Server away'],
    // Not on the device yet: it must not say so.
    [{ waiting: 2, unkept: 1 }, 'Saving'],
    [{ waiting: 2, unkept: 1, isOnline: false }, 'Offline, saving'],
    [{ waiting: 2, unkept: 2, isFull: true }, 'Device full, 2 to send'],
  ])('with %j is "%s"', (parts, words) => {
    expect(savingWords({ ...calm, ...parts })).toBe(words);
  });
});
