import { makeRandom, type Random } from '@bradyon/core/maths';
import { lateTaps, nextThumbPitch, type ThumbPitch, type ThumbEvent } from '@bradyon/core/timing';
import { useCallback, useEffect, useRef, useState } from 'react';

/** What was tapped of one pitch. */
interface RepResult {
  lateSeconds: Partial<Record<ThumbEvent, number>>;
  frameSeconds: number;
}

interface Showing {
  pitch: ThumbPitch;
  /** On the clock of input events, milliseconds. */
  startMs: number;
}

export interface ThumbDrill {
  phase: 'waiting' | 'showing' | 'between';
  /** The pitch on show; the last one while between two. */
  showing: Showing | null;
  /** Which event the next tap is for. */
  next: number;
  words: string;
  begin: () => void;
  tap: (atMs: number) => void;
  pause: () => void;
}

const EVENT_WORDS: Record<ThumbEvent, string> = {
  firstMove: 'the first move',
  release: 'the release',
  mitt: 'the mitt',
  bag: 'the glove at the bag',
};
const BETWEEN_MS = 1300;
/** A pitch that nobody tapped to the end is over this long after its last event. */
const GIVE_UP_SECONDS = 1.2;

/**
 * Plays pitches and takes the taps.
 * @param seed null: another drill every time
 * @param onRep a rep that counts
 */
export function useThumbDrill(
  fromRelease: boolean,
  seed: number | null,
  frameSeconds: () => number,
  onRep: (rep: RepResult) => void,
): ThumbDrill {
  const random = useRef<Random | null>(null);
  const taps = useRef<number[]>([]);
  const [showing, setShowing] = useState<Showing | null>(null);
  const [phase, setPhase] = useState<ThumbDrill['phase']>('waiting');
  const [next, setNext] = useState(0);
  const [words, setWords] = useState('Tap each event as you see it, like in a game');

  const begin = useCallback((): void => {
    random.current ??= makeRandom(seed ?? crypto.getRandomValues(new Uint32Array(1))[0] ?? 1);
    taps.current = [];
    const pitch = nextThumbPitch(random.current, fromRelease);
    setShowing({ pitch, startMs: performance.now() });
    setPhase('showing');
    setNext(0);
    const first = pitch.events[0];
    setWords(first ? `Tap at ${EVENT_WORDS[first.event]}` : '');
  }, [fromRelease, seed]);

  const end = (text: string): void => {
    setPhase('between');
    setWords(text);
  };

  useEffect(() => {
    if (phase !== 'between') return;
    const timer = setTimeout(begin, BETWEEN_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [phase, begin]);

  useEffect(() => {
    if (phase !== 'showing' || !showing) return;
    const lastAt = showing.pitch.events.at(-1)?.atSeconds ?? 0;
    const leftMs = showing.startMs + (lastAt + GIVE_UP_SECONDS) * 1000 - performance.now();
    const timer = setTimeout(() => {
      end('A tap was missing. This pitch does not count');
    }, leftMs);
    return () => {
      clearTimeout(timer);
    };
  }, [phase, showing]);

  return {
    phase,
    showing,
    next,
    words,
    begin,
    pause: () => {
      setPhase('waiting');
      setShowing(null);
      setWords('Paused');
    },
    tap: (atMs) => {
      if (phase === 'waiting') {
        begin();
        return;
      }
      if (phase !== 'showing' || !showing) return;
      taps.current.push((atMs - showing.startMs) / 1000);
      const due = showing.pitch.events[taps.current.length];
      setNext(taps.current.length);
      if (due) {
        setWords(`Tap at ${EVENT_WORDS[due.event]}`);
        return;
      }
      const lateSeconds = lateTaps(showing.pitch, taps.current);
      if (lateSeconds === null) end('Too far off. This pitch does not count');
      else {
        onRep({ lateSeconds, frameSeconds: frameSeconds() });
        const parts = Object.entries(lateSeconds).map(([event, late]) => {
          const by = `.${String(Math.round(Math.abs(late) * 100)).padStart(2, '0')}`;
          return `${EVENT_WORDS[event as ThumbEvent]} ${by} ${late < 0 ? 'early' : 'late'}`;
        });
        end(`Tapped ${parts.join(', ')}`);
      }
    },
  };
}
