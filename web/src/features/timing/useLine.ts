import type { Person } from '@bradyon/core/people';
import type { TeamId } from '@bradyon/core/units';
import { movedBy, queueNow, resolveQueue, setQueue, useQueue, type Queue } from './queueStore.ts';

/** The line of runners in practice. */
export interface Line {
  queue: Queue;
  current: Person | null;
  change: (queue: Queue) => void;
  /** Whose turn it is this instant: two may finish before the page is drawn again. */
  now: () => Person | null;
  move: (by: number) => void;
  /** A time was kept: the next one is up, where the line advances by itself. */
  kept: () => void;
  /** A time was taken back: the one before is up again. */
  takenBack: () => void;
}

export function useLine(teamId: TeamId, runners: readonly Person[]): Line {
  const queue = useQueue(teamId);
  const move = (by: number): void => {
    setQueue(teamId, movedBy(queueNow(teamId), runners, by));
  };
  const moveIfSo = (by: number) => (): void => {
    if (queueNow(teamId).advances) move(by);
  };
  return {
    queue,
    current: resolveQueue(queue, runners).current,
    change: (next) => {
      setQueue(teamId, next);
    },
    now: () => resolveQueue(queueNow(teamId), runners).current,
    move,
    kept: moveIfSo(1),
    takenBack: moveIfSo(-1),
  };
}
