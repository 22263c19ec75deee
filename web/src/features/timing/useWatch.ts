import {
  WATCH_PLANS,
  describeMisfit,
  patienceSeconds,
  splitsOf,
  type ReadingDraft,
  type ReadingKind,
  type Split,
  type Watch,
  type WatchPlan,
  type WatchPlanName,
} from '@bradyon/core/timing';
import type { TeamId } from '@bradyon/core/units';
import { useEffect } from 'react';
import { wallOffsetMs } from '../../api/index.ts';
import { seconds } from '../../ui/index.ts';
import { draftOf, type SplitOwner } from './drafts.ts';
import { readingWrite } from './writes.ts';
import {
  endChain,
  expire,
  settle,
  takeWatch,
  tap,
  undo,
  unsettled,
  useWatchStore,
} from './watchStore.ts';

export interface WatchInHand {
  plan: WatchPlan;
  watch: Watch;
  splits: Split[];
  /** What the coach has to be told about this chain; null: all is well. */
  notice: string | null;
  tap: (atMs: number) => void;
  end: () => void;
  undo: () => void;
}

const NOTICES = {
  bounce: 'Too soon after the last tap. Not counted.',
  expired: 'No second tap. The watch is ready again.',
};

/**
 * The watch, saving every split as it falls: within the tap itself, so that nothing is lost however
 * busy the page is.
 * @param ownerOf whose time a split of this kind is; null while nobody is picked, then it is saved once somebody is
 * @param onKept told of each reading made
 * @param onUndo told that a reading was taken back
 */
export function useWatch(
  teamId: TeamId,
  planName: WatchPlanName,
  ownerOf: (kind: ReadingKind) => SplitOwner | null,
  { onKept, onUndo }: { onKept?: (draft: ReadingDraft) => void; onUndo?: () => void } = {},
): WatchInHand {
  const { watch, fates, planName: inHand } = useWatchStore();
  useEffect(() => {
    takeWatch(planName);
  }, [planName]);

  const plan: WatchPlan = WATCH_PLANS[planName];
  const isInHand = inHand === planName;
  const splits = isInHand ? splitsOf(watch, plan) : [];

  /** Saves what has fallen and is not saved yet. Asks the store, not this render. */
  const keepSplits = (): void => {
    for (const { index, split, atMs } of unsettled(planName)) {
      const owner = ownerOf(split.kind);
      if (owner === null) continue;
      const draft = draftOf(split, owner, { method: 'thumb', resolutionSeconds: null, atMs });
      const misfit = describeMisfit(draft);
      if (misfit) {
        const words = `${seconds(split.seconds)} was not saved. ${misfit.message}`;
        settle(index, { refused: words });
      } else {
        settle(index, { id: draft.id });
        readingWrite.send(teamId, { step: 'add', draft });
        onKept?.(draft);
      }
    }
  };
  // For what fell while nobody was picked.
  useEffect(keepSplits);

  const last = watch.tapsMs.at(-1);
  const patience = isInHand ? patienceSeconds(watch, plan) : 0;
  useEffect(() => {
    if (last === undefined || patience === 0) return;
    const leftMs = last + patience * 1000 - performance.now();
    const timer = setTimeout(
      () => {
        expire(performance.now());
      },
      Math.max(0, leftMs) + 20,
    );
    return () => {
      clearTimeout(timer);
    };
  }, [last, patience]);

  const refused = fates.find((fate) => fate && 'refused' in fate);
  const ownerless = splits.some(({ kind }) => ownerOf(kind) === null);
  return {
    plan,
    watch: isInHand ? watch : { ...watch, tapsMs: [], ended: false },
    splits,
    notice:
      (watch.notice && NOTICES[watch.notice]) ??
      (refused && 'refused' in refused ? refused.refused : null) ??
      (ownerless ? 'Choose the player to save the time.' : null),
    tap: (atMs) => {
      takeWatch(planName);
      tap(atMs, wallOffsetMs());
      keepSplits();
    },
    end: endChain,
    undo: () => {
      const readingId = undo();
      if (!readingId) return;
      readingWrite.send(teamId, {
        step: 'judge',
        readingId,
        reason: 'wrong tap',
        vouched: false,
      });
      onUndo?.();
    },
  };
}
