import {
  EAR_PLANS,
  anyLength,
  doubtBesideThumb,
  doubtBetween,
  earState,
  lateBySeconds,
  withMoment,
  type EarPlan,
  type EarPlanName,
  type EarState,
  type HeardChain,
  type Hearing,
  type Moment,
  type Source,
  type Stand,
} from '@bradyon/core/ear';
import {
  describeMisfit,
  stepOfDeviation,
  type ReadingDraft,
  type ReadingKind,
} from '@bradyon/core/timing';
import type { TeamId } from '@bradyon/core/units';
import { useEffect, useRef, useState } from 'react';
import { wallOffsetMs } from '../../api/index.ts';
import { hundredths } from '../../ui/index.ts';
import { useAwake } from '../../ui/useAwake.ts';
import { draftOf, keepReadings, type SplitOwner } from '../timing/index.ts';
import { hearLoudness } from './loudness.ts';
import { openMicrophone, TroubleError, type Microphone, type Trouble } from './microphone.ts';
import { answered, ask, useQuestions, type Question } from './questions.ts';
import { useDeviceDelay } from './standing.ts';
import { chainText } from './words.ts';

/** What is timed, where its marks sound, and whose it is. */
export interface Listening {
  planName: EarPlanName;
  /** Where each mark sounds; of a tapped one it does not matter. */
  sources: readonly Source[];
  stand: Stand;
  bounds: Hearing['bounds'];
  ownerOf: (kind: ReadingKind) => SplitOwner | null;
}

type Phase = { is: 'off' | 'opening' | 'listening' } | { is: 'trouble'; which: Trouble };

interface Going {
  moments: readonly Moment[];
  as: Listening;
}

const NOTHING_WORDS = {
  ear: 'One sound, and no second one in time.',
  tap: 'Tapped, and nothing heard in time.',
};
const LOOK_EVERY_MS = 80;

/** The ear's way to hear what is timed. */
function hearingOf({ planName, sources, stand, bounds }: Listening): Hearing {
  const plan: EarPlan = EAR_PLANS[planName];
  return {
    plan,
    lateSeconds: plan.marks.map(({ by }, nth) => {
      const source = sources[nth];
      return by === 'tap' || !source ? 0 : lateBySeconds(source, stand);
    }),
    bounds,
  };
}

/** How far a split may be off but for the thumb's share, seconds. */
export function doubtOf(
  { planName, sources, stand }: Listening,
  nth: number,
  delay: 'measured' | 'typical',
): number {
  const plan: EarPlan = EAR_PLANS[planName];
  const [from, to] = [plan.marks[nth], plan.marks[nth + 1]];
  const [first, second] = [sources[nth], sources[nth + 1]];
  if (!first || !second) return 0;
  if (from?.by === 'ear' && to?.by === 'ear') return doubtBetween(first, second, stand);
  return doubtBesideThumb(from?.by === 'ear' ? first : second, stand, delay);
}

/** Listens, and saves what is sure; what is not is asked about. */
export function useEar(teamId: TeamId, listening: Listening) {
  const [phase, setPhase] = useState<Phase>({ is: 'off' });
  // Put down and left alone, a phone would sleep and hear nothing.
  useAwake(phase.is === 'listening');
  /** What was heard and tapped, with what was chosen when it began. */
  const [going, setGoing] = useState<Going | null>(null);
  const [state, setState] = useState<EarState>({ state: 'waiting' });
  const questions = useQuestions(teamId);
  const [last, setLast] = useState<{ chain: HeardChain; takeBack: () => void } | null>(null);
  const [notice, setNotice] = useState<string | null>(null);
  const microphone = useRef<Microphone | null>(null);

  const add = (moment: Moment): void => {
    setGoing((before) => {
      const as = before?.as ?? listening;
      const moments = withMoment(before?.moments ?? [], moment, hearingOf(as));
      return moments.length === 0 ? null : { moments, as };
    });
    setNotice(null);
  };
  const latest = useRef(add);
  useEffect(() => {
    latest.current = add;
  });

  /** The readings of a chain, or why they cannot be saved. */
  const draftsOf = (chain: HeardChain, as: Listening): ReadingDraft[] | string => {
    const delay = useDeviceDelay.getState().roundTripSeconds === null ? 'typical' : 'measured';
    const drafts: ReadingDraft[] = [];
    for (const [nth, split] of chain.splits.entries()) {
      const owner = as.ownerOf(split.kind);
      if (!owner) return 'Choose the player, then time it again.';
      const draft = draftOf(split, owner, {
        method: 'ear',
        resolutionSeconds: stepOfDeviation(doubtOf(as, nth, delay)),
        atMs: wallOffsetMs() + (chain.moments.at(-1)?.atSeconds ?? 0) * 1000,
      });
      const misfit = describeMisfit(draft);
      if (misfit) return `${hundredths(split.seconds)} was not saved. ${misfit.message}`;
      drafts.push(draft);
    }
    return drafts;
  };
  const save = (chain: HeardChain, as: Listening): void => {
    const drafts = draftsOf(chain, as);
    if (typeof drafts === 'string') {
      setNotice(drafts);
      return;
    }
    const takeBack = keepReadings(teamId, drafts);
    setLast({ chain, takeBack });
    setNotice(`${chainText(chain)} saved.`);
  };
  const over = (): void => {
    setGoing(null);
    setState({ state: 'waiting' });
  };
  const look = (): void => {
    if (!going) return;
    const { moments, as } = going;
    const next = earState(moments, hearingOf(as), performance.now() / 1000);
    setState(next);
    switch (next.state) {
      case 'waiting':
      case 'open':
        return;
      case 'nothing':
        setNotice(`${NOTHING_WORDS[EAR_PLANS[as.planName].marks[0].by]} Nothing saved.`);
        break;
      case 'noise':
        setNotice('Too many sharp sounds to tell which is which. Nothing saved.');
        break;
      case 'one':
        save(next.chain, as);
        break;
      case 'ask': {
        const { chains } = next;
        const why = chains.length > 1 ? 'several' : 'unsure';
        ask({ id: performance.now(), teamId, why, chains, listening: as });
        break;
      }
    }
    over();
  };
  const looking = useRef(look);
  useEffect(() => {
    looking.current = look;
  });
  const isGoingOn = going !== null;
  useEffect(() => {
    if (!isGoingOn) return;
    const timer = setInterval(() => {
      looking.current();
    }, LOOK_EVERY_MS);
    return () => {
      clearInterval(timer);
    };
  }, [isGoingOn]);

  const close = (): void => {
    microphone.current?.close();
    microphone.current = null;
    hearLoudness(null);
  };
  useEffect(() => close, []);

  const opening = useRef(0);
  const start = async (): Promise<void> => {
    close();
    const nth = (opening.current += 1);
    setPhase({ is: 'opening' });
    try {
      const opened = await openMicrophone({
        onOnset: ({ atMs, isSure }) => {
          latest.current({ atSeconds: atMs / 1000, by: 'ear', isSure });
        },
        onLoudness: hearLoudness,
        onTrouble: (which) => {
          if (which !== 'paused') close();
          setPhase({ is: 'trouble', which });
        },
        onGoingOn: () => {
          setPhase({ is: 'listening' });
        },
        roundTripSeconds: () => useDeviceDelay.getState().roundTripSeconds,
      });
      // Stopped, or left, while the coach was still asked.
      if (nth === opening.current) {
        microphone.current = opened;
        setPhase({ is: 'listening' });
      } else opened.close();
    } catch (error) {
      const which = error instanceof TroubleError ? error.trouble : 'failed';
      if (nth === opening.current) setPhase({ is: 'trouble', which });
    }
  };
  useEffect(
    () => () => {
      opening.current += 1;
    },
    [],
  );

  return {
    phase,
    state,
    questions,
    /** What is being timed, as it was chosen when it began; null: nothing yet. */
    going,
    last,
    notice,
    start: () => {
      void start();
    },
    stop: () => {
      opening.current += 1;
      close();
      over();
      setPhase({ is: 'off' });
    },
    goOn: () => {
      microphone.current?.resume();
    },
    tap: (atMs: number) => {
      add({ atSeconds: atMs / 1000, by: 'tap', isSure: true });
    },
    /** Saves what is heard so far, without waiting whether more comes. */
    keepNow: (chain: HeardChain) => {
      if (going) save(chain, going.as);
      over();
    },
    drop: over,
    answer: ({ id, listening: as }: Question, chain: HeardChain | null) => {
      answered(id);
      if (chain) save(chain, as);
    },
    undo: () => {
      last?.takeBack();
      setLast(null);
      setNotice(last ? `${chainText(last.chain)} set aside.` : null);
    },
    measureDelay: async (): Promise<number | null> =>
      (await microphone.current?.measureDelay()) ?? null,
  };
}
export type EarInHand = ReturnType<typeof useEar>;

/** What a kind may last at a level; wide where the level does not know. */
export function boundsFrom(
  typicalOf: (kind: ReadingKind) => { min: number; max: number } | null,
): Hearing['bounds'] {
  return (kind) => typicalOf(kind) ?? anyLength(kind);
}
