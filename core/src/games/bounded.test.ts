import { describe, expect, it } from 'vitest';
import { boundedTellings, type GameEvent } from './index.ts';

const pitch = (id: string, slot: string): GameEvent =>
  ({ id, kind: 'pitch', slot, result: 'ball' }) as unknown as GameEvent;

describe('a list in which one thing is told again and again', () => {
  it('keeps the first of them, everything else, and the order', () => {
    const nonsense = Array.from({ length: 500 }, (_, nth) => pitch(`n${String(nth)}`, 'T1.1.1'));
    const game = Array.from({ length: 60 }, (_, nth) =>
      pitch(`g${String(nth)}`, `T1.2.${String(nth + 1)}`),
    );
    const undo = { id: 'u', kind: 'undo', slot: 'T1.1.1', event: 'n3' } as unknown as GameEvent;
    const bounded = boundedTellings([...nonsense, ...game, undo]);
    expect(bounded.slice(0, 20)).toEqual(nonsense.slice(0, 20));
    expect(bounded.slice(20)).toEqual([...game, undo]);
  });

  it('leaves a game as it is, told by five devices', () => {
    const told = Array.from({ length: 5 }, (_, device) => pitch(`d${String(device)}`, 'T1.1.1'));
    expect(boundedTellings(told)).toEqual(told);
  });
});
