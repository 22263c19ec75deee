import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { movedBy, NEW_QUEUE, resolveQueue, toggled } from './queueStore.ts';

const runners = ['a', 'b', 'c'].map((id) => ({ id: id as PersonId }) as Person);
const turn = (queue: typeof NEW_QUEUE) => resolveQueue(queue, runners).current?.id;

describe('the queue of runners', () => {
  it('goes round, and back', () => {
    const second = movedBy(NEW_QUEUE, runners, 1);
    expect(turn(second)).toBe('b');
    expect(turn(movedBy(second, runners, 2))).toBe('a');
    expect(turn(movedBy(NEW_QUEUE, runners, -1))).toBe('c');
  });

  it('passes over whoever is left out, and takes him back in', () => {
    const without = toggled(NEW_QUEUE, 'b' as PersonId);
    expect(turn(movedBy(without, runners, 1))).toBe('c');
    expect(turn(movedBy(toggled(without, 'b' as PersonId), runners, 1))).toBe('b');
  });

  it('has nobody when all are out', () => {
    const none = runners.reduce((queue, { id }) => toggled(queue, id), NEW_QUEUE);
    expect(turn(none)).toBeUndefined();
    expect(movedBy(none, runners, 1)).toEqual(none);
  });
});
