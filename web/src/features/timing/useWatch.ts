import {
  WATCH_PLANS,
  describeMisfit,
  splitsOf,
  type ReadingDraft,
  type ReadingKind,
  type Split,
  type Watch,
  type WatchPlan,
  type WatchPlanName,
} from '@bradyon/core/timing';
import type { ReadingId, TeamId } from '@bradyon/core/units';
import { useEffect } from 'react';
import { newId, useSend } from '../../api/index.ts';
import { endChain, expire, settle, takeWatch, tap, undo, useWatchStore } from './watchStore.ts';

/** Whose time a split is and what goes with it. */
export type SplitOwner = Pick<ReadingDraft, 'personId' | 'base' | 'style' | 'leadFeet'>;

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
  bounce: 'Too soon after the last tap: not counted.',
  expired: 'No tap followed: the watch is ready again.',
};

/**
 * The watch, saving every split as it falls.
 * @param ownerOf whose time a split of this kind is; null while nobody is picked, then it is saved once somebody is
 */
export function useWatch(
  teamId: TeamId,
  planName: WatchPlanName,
  ownerOf: (kind: ReadingKind) => SplitOwner | null,
): WatchInHand {
  const { watch, fates, planName: inHand } = useWatchStore();
  const send = useSend();
  useEffect(() => {
    takeWatch(planName);
  }, [planName]);

  const plan: WatchPlan = WATCH_PLANS[planName];
  const isInHand = inHand === planName;
  const splits = isInHand ? splitsOf(watch, plan) : [];

  useEffect(() => {
    splits.forEach((split, index) => {
      const owner = ownerOf(split.kind);
      // Asked of the store, not of this render: an effect that runs twice saves once.
      if (owner === null || useWatchStore.getState().fates[index] !== undefined) return;
      const draft: ReadingDraft = {
        id: newId<ReadingId>(),
        ...owner,
        ...split,
        method: 'thumb',
        takenAt: new Date(performance.timeOrigin + (watch.tapsMs[index + 1] ?? 0)).toISOString(),
      };
      const misfit = describeMisfit(draft);
      if (misfit) {
        const words = `${split.seconds.toFixed(2)} s is not kept. ${misfit.message}`;
        settle(index, { refused: words });
      } else {
        settle(index, { id: draft.id });
        send({ teamId, write: 'reading', draft });
      }
    });
  });

  const last = watch.tapsMs.at(-1);
  const running = isInHand && last !== undefined && !watch.ended;
  useEffect(() => {
    if (!running) return;
    const leftMs = last + plan.limitSeconds * 1000 - performance.now();
    const timer = setTimeout(
      () => {
        expire(performance.now());
      },
      Math.max(0, leftMs) + 20,
    );
    return () => {
      clearTimeout(timer);
    };
  }, [running, last, plan]);

  const refused = fates.find((fate) => fate && 'refused' in fate);
  const ownerless = splits.some(({ kind }) => ownerOf(kind) === null);
  return {
    plan,
    watch,
    splits,
    notice:
      (watch.notice && NOTICES[watch.notice]) ??
      (refused && 'refused' in refused ? refused.refused : null) ??
      (ownerless ? 'Pick who that was, and the time is kept.' : null),
    tap,
    end: endChain,
    undo: () => {
      const readingId = undo();
      if (readingId) send({ teamId, write: 'aside', readingId, reason: 'wrong tap' });
    },
  };
}
