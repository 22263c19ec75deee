import {
  plainContext,
  type Method,
  type ReadingContext,
  type ReadingDraft,
  type ReadingKind,
  type Split,
} from '@bradyon/core/timing';
import type { PersonId, ReadingId, TeamId } from '@bradyon/core/units';
import { newId } from '../../api/index.ts';
import { readingWrite } from './writes.ts';

/** Whose time a split is and what goes with it. */
export type SplitOwner = { personId: PersonId } & Partial<Omit<ReadingContext, 'kind'>>;

/** A split as the reading that is kept of it. */
export function draftOf(
  split: Split,
  owner: SplitOwner,
  taken: { method: Method; resolutionSeconds: number | null; atMs: number },
): ReadingDraft {
  const { method, resolutionSeconds, atMs } = taken;
  return {
    ...plainContext(split.kind),
    ...split,
    ...owner,
    id: newId<ReadingId>(),
    method,
    resolutionSeconds,
    movedFrom: null,
    takenAt: new Date(atMs).toISOString(),
  };
}

/** Saves readings. @returns what takes them back: they stay, set aside as wrong taps */
export function keepReadings(teamId: TeamId, drafts: readonly ReadingDraft[]): () => void {
  readingWrite.send(teamId, ...drafts.map((draft) => ({ step: 'add', draft }) as const));
  return () => {
    readingWrite.send(
      teamId,
      ...drafts.map(
        ({ id: readingId }) =>
          ({ step: 'judge', readingId, reason: 'wrong tap', vouched: false }) as const,
      ),
    );
  };
}

/** Which kinds of a battery are the pitcher's. */
export const PITCHED: readonly ReadingKind[] = ['delivery', 'flight', 'pick'];
