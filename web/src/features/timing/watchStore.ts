import {
  READY,
  WATCH_PLANS,
  endWatch,
  expireWatch,
  keepMarks,
  splitsOf,
  tapWatch,
  undoTap,
  type Split,
  type Watch,
  type WatchPlanName,
} from '@bradyon/core/timing';
import type { ReadingId } from '@bradyon/core/units';
import { create } from 'zustand';

/** What became of a split: saved under an id, or refused with the reason; undefined: not yet. */
export type Fate = { id: ReadingId } | { refused: string };

interface WatchState {
  planName: WatchPlanName;
  watch: Watch;
  fates: readonly (Fate | undefined)[];
  /** From the taps' own clock to the wall clock, as of the last tap, milliseconds. */
  wallOffsetMs: number;
}

/** The watch in the coach's hand. One for the whole application: leaving the page does not stop it. */
export const useWatchStore = create<WatchState>(() => ({
  planName: 'battery',
  watch: READY,
  fates: [],
  wallOffsetMs: 0,
}));

function change(next: (state: WatchState) => Watch): void {
  useWatchStore.setState((state) => {
    const watch = next(state);
    // Splits that are gone take their fates with them.
    const count = splitsOf(watch, WATCH_PLANS[state.planName]).length;
    return { watch, fates: state.fates.slice(0, count) };
  });
}

/**
 * Takes another watch in hand. A chain that begins alike goes on in it, a pitch that turns out to be
 * a pick-off; any other is dropped.
 */
export function takeWatch(planName: WatchPlanName): void {
  const { planName: before, watch, fates } = useWatchStore.getState();
  if (before === planName) return;
  const plan = WATCH_PLANS[planName];
  const kept = keepMarks(watch, WATCH_PLANS[before], plan);
  useWatchStore.setState({
    planName,
    watch: kept,
    fates: fates.slice(0, splitsOf(kept, plan).length),
  });
}

/**
 * @param atMs the input event's own time stamp
 * @param wallOffsetMs what makes it a time of the wall clock, asked now: a device that has slept since has another
 */
export function tap(atMs: number, wallOffsetMs: number): void {
  useWatchStore.setState({ wallOffsetMs });
  change(({ watch, planName }) => tapWatch(watch, WATCH_PLANS[planName], atMs));
}

export function endChain(): void {
  change(({ watch }) => endWatch(watch));
}

export function expire(nowMs: number): void {
  change(({ watch, planName }) => expireWatch(watch, WATCH_PLANS[planName], nowMs));
}

/** Takes back the last tap. @returns the reading that it had made, to be set aside */
export function undo(): ReadingId | null {
  const { watch, planName, fates } = useWatchStore.getState();
  const lastSplit = splitsOf(watch, WATCH_PLANS[planName]).length - 1;
  const fate = fates[lastSplit];
  change(() => undoTap(watch));
  return fate && 'id' in fate ? fate.id : null;
}

/**
 * What has fallen on this watch and is not settled yet: each is given until it is settled, and then
 * never again, however often a screen is drawn.
 */
export function unsettled(
  planName: WatchPlanName,
): { index: number; split: Split; atMs: number }[] {
  const { planName: inHand, watch, fates, wallOffsetMs } = useWatchStore.getState();
  if (inHand !== planName) return [];
  return splitsOf(watch, WATCH_PLANS[planName]).flatMap((split, index) =>
    fates[index] === undefined
      ? [{ index, split, atMs: wallOffsetMs + (watch.tapsMs[index + 1] ?? 0) }]
      : [],
  );
}

/** Notes what became of a split. */
export function settle(index: number, fate: Fate): void {
  useWatchStore.setState(({ fates }) => ({ fates: Object.assign([...fates], { [index]: fate }) }));
}
