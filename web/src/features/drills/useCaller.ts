import { CALL_DRILLS, makeBlock, type CallDrillName } from '@bradyon/core/drills';
import { useEffect, useRef, useState } from 'react';
import {
  ANSWER_SECONDS,
  handsAt,
  scriptOf,
  tapSecondsOf,
  type BlockRep,
  type Cue,
} from './caller.ts';
import { buzz, openSound, type Sound } from './sound.ts';

type Way = 'go' | 'back';

/** What came of a rep. */
export interface Answer {
  rep: BlockRep;
  nth: number;
  /** null: nobody moved. */
  tapSeconds: number | null;
  way: Way;
  outputLateSeconds: number;
}

export interface CallerPlan {
  calls: CallDrillName;
  sense: 'heard' | 'seen';
  reps: number;
  seed: number;
  /** From an answer to the next set, seconds. */
  restSeconds: number;
  /** A gate times the start: its figure is typed in whenever it is read, and nothing runs out. */
  byGate: boolean;
}

/** A tap when it came, or the seconds that a gate gave. */
type Tapped = { way: Way } & ({ atMs: number } | { gateSeconds: number } | { nobody: true });

interface Running {
  plan: CallerPlan;
  block: readonly BlockRep[];
  nth: number;
  phase: 'set' | 'rest' | 'over';
  restUntilMs: number;
}

/** How late a screen shows, from the frame in which it is asked to. */
const SCREEN_LATE_SECONDS = 0.025;
/** An empty rep goes on so long after its last moment, so that "relax" is heard. */
const RELAX_SECONDS = 0.9;

/** Calls a block of reps, one after the other, and takes what is tapped. */
export function useCaller(onAnswer: (answer: Answer) => void) {
  const [running, setRunning] = useState<Running | null>(null);
  const [shown, setShown] = useState<{ cue: Cue | null; hands: number }>({ cue: null, hands: 0 });
  const sound = useRef<Sound | null>(null);
  const take = useRef<((answer: Tapped) => void) | null>(null);
  const answered = useRef(onAnswer);
  useEffect(() => {
    answered.current = onAnswer;
  }, [onAnswer]);

  const isSet = running?.phase === 'set';
  useEffect(() => {
    if (!isSet) return;
    const { plan, block, nth } = running;
    const rep = block[nth];
    if (!rep) return;
    const script = scriptOf(rep, plan.calls);
    const isHeard = plan.sense === 'heard';
    const setMs = performance.now();
    const last = script.cues.at(-1);
    let calledMs = setMs + script.callSeconds * 1000;
    let isCalled = false;
    let frame = 0;
    if (isHeard) {
      for (const { cue, atSeconds } of script.cues)
        sound.current?.play(cue, setMs + atSeconds * 1000);
    }
    const finish = (tapped: Tapped): void => {
      take.current = null;
      cancelAnimationFrame(frame);
      sound.current?.hush();
      // A gate starts its clock with the call that it hears or sees: no device lies between.
      const late =
        'gateSeconds' in tapped
          ? 0
          : isHeard
            ? (sound.current?.lateSeconds() ?? 0)
            : SCREEN_LATE_SECONDS;
      answered.current({
        rep,
        nth,
        tapSeconds:
          'nobody' in tapped
            ? null
            : 'gateSeconds' in tapped
              ? tapped.gateSeconds
              : tapSecondsOf(tapped.atMs, calledMs),
        way: tapped.way,
        outputLateSeconds: late,
      });
      const isLast = nth + 1 >= block.length;
      setRunning({
        ...running,
        phase: isLast ? 'over' : 'rest',
        restUntilMs: performance.now() + plan.restSeconds * 1000,
      });
    };
    take.current = finish;
    const draw = (): void => {
      const now = performance.now();
      const seconds = (now - setMs) / 1000;
      const cue = script.cues.findLast(({ atSeconds }) => atSeconds <= seconds)?.cue ?? null;
      if (cue !== null && cue === last?.cue && !isCalled) {
        isCalled = true;
        // What is seen is called by the frame that shows it.
        if (!isHeard && !script.isEmpty) calledMs = now;
        buzz();
      }
      const hands = handsAt(seconds, script);
      setShown((before) =>
        before.cue === cue && before.hands === hands ? before : { cue, hands },
      );
      const isUp = seconds > script.callSeconds + (script.isEmpty ? RELAX_SECONDS : ANSWER_SECONDS);
      if (isUp && !plan.byGate) {
        finish({ nobody: true, way: 'go' });
      } else {
        frame = requestAnimationFrame(draw);
      }
    };
    frame = requestAnimationFrame(draw);
    return () => {
      take.current = null;
      cancelAnimationFrame(frame);
      sound.current?.hush();
    };
    // A rep begins when it is set, and not again while it runs.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isSet, running?.nth]);

  const next = (): void => {
    setShown({ cue: null, hands: 0 });
    setRunning((now) => now && { ...now, nth: now.nth + 1, phase: 'set' });
  };
  const isResting = running?.phase === 'rest';
  const restUntilMs = running?.restUntilMs ?? 0;
  useEffect(() => {
    if (!isResting) return;
    const timer = setTimeout(next, Math.max(0, restUntilMs - performance.now()));
    return () => {
      clearTimeout(timer);
    };
  }, [isResting, restUntilMs]);
  useEffect(
    () => () => {
      sound.current?.close();
      sound.current = null;
    },
    [],
  );

  return {
    running,
    shown,
    /** Called by a tap: only then may a phone sound. */
    start: (plan: CallerPlan): void => {
      sound.current ??= openSound();
      const { reps } = makeBlock(CALL_DRILLS[plan.calls], plan.seed, plan.reps);
      setShown({ cue: null, hands: 0 });
      setRunning({ plan, block: reps, nth: 0, phase: 'set', restUntilMs: 0 });
    },
    stop: (): void => {
      setRunning(null);
    },
    tap: (atMs: number, way: Way): void => {
      take.current?.({ atMs, way });
    },
    /** @param seconds as the gate shows them; null: nobody came through */
    gate: (seconds: number | null): void => {
      take.current?.(
        seconds === null ? { nobody: true, way: 'go' } : { gateSeconds: seconds, way: 'go' },
      );
    },
    next,
  };
}
