import type { Person } from '@bradyon/core/people';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** Who runs after whom in practice. */
export interface Queue {
  /** Left out of the line today. */
  out: PersonId[];
  /** Whose turn it is; null: the first. */
  at: PersonId | null;
  /** Whether the next one is up by himself after a time is kept. */
  advances: boolean;
}

export const NEW_QUEUE: Queue = { out: [], at: null, advances: true };

/** The line as it stands: who runs, and whose turn it is. */
export function resolveQueue(
  queue: Queue,
  runners: readonly Person[],
): { line: Person[]; current: Person | null } {
  const line = runners.filter(({ id }) => !queue.out.includes(id));
  return { line, current: line.find(({ id }) => id === queue.at) ?? line[0] ?? null };
}

/** Whose turn it is `by` places further on; after the last comes the first. */
export function movedBy(queue: Queue, runners: readonly Person[], by: number): Queue {
  const { line, current } = resolveQueue(queue, runners);
  if (!current) return queue;
  const index = line.indexOf(current) + by;
  const next = line[((index % line.length) + line.length) % line.length];
  return { ...queue, at: next?.id ?? null };
}

/** Takes somebody out of the line, or back in. */
export function toggled(queue: Queue, id: PersonId): Queue {
  const isOut = queue.out.includes(id);
  return { ...queue, out: isOut ? queue.out.filter((each) => each !== id) : [...queue.out, id] };
}

const useQueues = create<{ byTeam: Record<TeamId, Queue> }>()(
  persist(() => ({ byTeam: {} as Record<TeamId, Queue> }), { name: 'bradyon-queue' }),
);

export function useQueue(teamId: TeamId): Queue {
  return useQueues((state) => state.byTeam[teamId]) ?? NEW_QUEUE;
}

/** The line now, also before the page has been drawn again. */
export function queueNow(teamId: TeamId): Queue {
  return useQueues.getState().byTeam[teamId] ?? NEW_QUEUE;
}

export function setQueue(teamId: TeamId, queue: Queue): void {
  useQueues.setState(({ byTeam }) => ({ byTeam: { ...byTeam, [teamId]: queue } }));
}
