import { beforeEach, describe, expect, it, vi } from 'vitest';
import { forgetAllWrites, forgetWrite, keepWrite, keptWrites } from './journal.ts';

/** As much of local storage as the journal uses: keys are its own properties. */
function storage(): Storage {
  const kept = {} as Record<string, string>;
  const methods = {
    setItem: (key: string, value: string) => {
      kept[key] = value;
    },
    getItem: (key: string) => kept[key] ?? null,
    removeItem: (key: string) => {
      Reflect.deleteProperty(kept, key);
    },
  };
  return Object.setPrototypeOf(kept, methods) as Storage;
}

beforeEach(() => {
  vi.stubGlobal('localStorage', storage());
});

describe('the journal of writes', () => {
  it('gives back what waits in the order tapped, without what was settled', () => {
    for (let nth = 0; nth < 120; nth += 1) keepWrite(`key-${String(nth)}`, { nth });
    forgetWrite('key-3');
    const kept = keptWrites<{ nth: number }>();
    expect(kept).toHaveLength(119);
    expect(kept.map(({ item }) => item.nth)).toEqual(
      Array.from({ length: 120 }, (_, nth) => nth).filter((nth) => nth !== 3),
    );
    expect(kept[0]?.key).toBe('key-0');
  });

  it('does not hold up a write when the device keeps nothing', () => {
    const full = () => {
      throw new Error('QuotaExceededError');
    };
    vi.stubGlobal('localStorage', Object.setPrototypeOf({}, { setItem: full }));
    expect(() => {
      keepWrite('a', {});
    }).not.toThrow();
    expect(keptWrites()).toEqual([]);
  });

  it('leaves what is not its own alone', () => {
    localStorage.setItem('bradyon-team', 'x');
    keepWrite('a', {});
    forgetAllWrites();
    expect(keptWrites()).toEqual([]);
    expect(localStorage.getItem('bradyon-team')).toBe('x');
  });
});
