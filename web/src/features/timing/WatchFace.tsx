import { expectedMark } from '@bradyon/core/timing';
import { useEffect, useRef } from 'react';
import type { WatchInHand } from './useWatch.ts';
import { TapButton } from '../../ui/index.ts';
import './WatchFace.scss';
import { capital, KIND_WORDS } from './words.ts';

/** A tick in the hand, where the device has one: the tap was felt without looking. */
export function tick(): void {
  // Not every browser has it.
  if ('vibrate' in navigator) navigator.vibrate(12);
}

/**
 * One tap area for the whole chain. The time of a tap is the input event's own stamp: when the
 * finger came down, however busy the page is.
 */
export function WatchFace({ hand, about }: { hand: WatchInHand; about: string }) {
  const { plan, watch, splits, notice } = hand;
  const next = expectedMark(watch);
  const running = watch.tapsMs.length > 0 && !watch.ended;
  const lastSplit = splits.at(-1);
  const toBeat = secondsToBeat(hand);
  return (
    <div className="watch">
      <TapButton
        className="watch-face"
        aria-label={`Tap at: ${plan.marks[next] ?? ''}`}
        onTap={(atMs) => {
          hand.tap(atMs);
          tick();
        }}
      >
        <span className="watch-about">{about}</span>
        <span className="watch-figure figure">
          {running && !lastSplit ? (
            <RunningClock fromMs={watch.tapsMs[0] ?? 0} />
          ) : (
            (toBeat ?? lastSplit?.seconds ?? 0).toFixed(2)
          )}
        </span>
        <span className="watch-words">{notice ?? wordsFor(hand, next, toBeat)}</span>
        <span className="watch-marks">
          {plan.marks.map((mark, index) => (
            <span
              key={mark}
              className={index === next ? 'watch-mark watch-mark-next' : 'watch-mark'}
              data-mark={mark}
            >
              <span>
                {index === 0 ? mark : KIND_WORDS[plan.kinds[index - 1] ?? 'delivery'].short}
              </span>
              <strong className="figure">{markFigure(hand, index, next)}</strong>
            </span>
          ))}
        </span>
      </TapButton>
      <p className="visually-hidden" role="status">
        {splits
          .map(({ kind, seconds }) => `${KIND_WORDS[kind].name} ${seconds.toFixed(2)} seconds. `)
          .join('')}
        {notice}
      </p>
    </div>
  );
}

/** Delivery and pop together, once both are there; null otherwise. */
function secondsToBeat({ watch, splits }: WatchInHand): number | null {
  const ball = splits.filter(({ kind }) => ['delivery', 'flight', 'pop'].includes(kind));
  if (!watch.ended || ball.length < 2) return null;
  return ball.reduce((sum, { seconds }) => sum + seconds, 0);
}

function wordsFor(
  { plan, watch, splits }: WatchInHand,
  next: number,
  toBeat: number | null,
): string {
  if (toBeat !== null) return `is the time to beat. Say “${toBeat.toFixed(2).slice(-2)}”.`;
  const lastSplit = splits.at(-1);
  if (watch.ended && lastSplit)
    return `${KIND_WORDS[lastSplit.kind].name}. Tap at the next ${plan.marks[0] ?? ''}`;
  if (watch.tapsMs.length === 0) return `Tap at the ${plan.marks[0] ?? ''}`;
  const last = plan.marks[next - 1] ?? '';
  const isLastMark = next === plan.marks.length - 1;
  const orWait = isLastMark && plan.kinds.at(-1) === 'pop' && plan.marks.length > 2;
  return `${capital(last)}. Tap at the ${plan.marks[next] ?? ''}${orWait ? ', or wait for the next pitch' : ''}`;
}

function markFigure({ splits }: WatchInHand, index: number, next: number): string {
  if (index === 0) return index === next ? 'tap' : '0.00';
  const split = splits[index - 1];
  if (split) return split.seconds.toFixed(2);
  return index === next ? 'tap' : '–';
}

/** Shows time passing; written straight into the page, so that nothing else is drawn again for it. */
function RunningClock({ fromMs }: { fromMs: number }) {
  const ref = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    let frame = 0;
    const draw = (): void => {
      const seconds = Math.max(0, performance.now() - fromMs) / 1000;
      if (ref.current) ref.current.textContent = still ? '–.––' : seconds.toFixed(2);
      if (!still) frame = requestAnimationFrame(draw);
    };
    draw();
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [fromMs]);
  return <span ref={ref} aria-hidden="true" />;
}
