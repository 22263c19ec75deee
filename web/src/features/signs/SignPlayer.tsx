import type { SignContext, SignSystem } from '@bradyon/core/signs';
import { traceOf } from '@bradyon/core/signs';
import { ChevronLeft, ChevronRight, Play, RotateCw } from 'lucide-react';
import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { CoachFigure } from '../../ui/figure/index.ts';
import { Choice } from '../../ui/index.ts';
import { handsAt, ROLE_WORDS, touchWord } from './words.ts';

const PACES = [
  { value: '400', text: 'Quick' },
  { value: '700', text: 'Game' },
  { value: '1200', text: 'Slow' },
] as const;
export type Pace = (typeof PACES)[number]['value'];

/** Shows a sequence touch by touch; null: it has not begun. @param onEnd told once, after the last touch */
export function useSteps(
  sequence: readonly string[],
  pace: Pace,
  isRunning: boolean,
  onEnd: () => void,
) {
  const [at, setAt] = useState<number | null>(null);
  useEffect(() => {
    if (!isRunning) return;
    const timer = setTimeout(
      () => {
        const next = at === null ? 0 : at + 1;
        if (next < sequence.length) setAt(next);
        else onEnd();
      },
      at === null ? 200 : Number(pace),
    );
    return () => {
      clearTimeout(timer);
    };
  }, [at, isRunning, onEnd, pace, sequence]);
  return [at, setAt] as const;
}

/** The coach at one touch of a sequence. */
export function SignFigure({ touch }: { touch: string | null }) {
  const { hands, mark } = handsAt(touch);
  const label =
    touch === null ? 'The coach stands still.' : `The coach touches: ${touchWord(touch)}.`;
  return <CoachFigure hands={hands} mark={mark} label={label} />;
}

/** A sequence that plays, is stepped through, and says what each touch did. */
export function SignPlayer({
  sequence,
  system,
  context,
  onAnother,
}: {
  sequence: readonly string[];
  system: SignSystem;
  context: SignContext;
  onAnother: () => void;
}) {
  const [pace, setPace] = useState<Pace>('700');
  const [isRunning, setRunning] = useState(false);
  const [at, setAt] = useSteps(sequence, pace, isRunning, () => {
    setRunning(false);
  });
  const traced = traceOf(system, sequence, context);
  const now = at === null ? null : (traced[at] ?? null);
  const move = (by: number) => (): void => {
    setRunning(false);
    setAt(Math.min(sequence.length - 1, Math.max(0, (at ?? (by > 0 ? -1 : 0)) + by)));
  };
  return (
    <div className="sign-player">
      <ol className="sign-touches" aria-label="The sequence">
        {traced.map(({ touch, role }, index) => (
          <li
            key={index}
            className={['sign', 'indicator', 'key'].includes(role) ? `sign-${role}` : undefined}
            aria-current={index === at ? 'step' : undefined}
          >
            {touchWord(touch)}
          </li>
        ))}
      </ol>
      <SignFigure touch={now?.touch ?? null} />
      <p className="sign-role" role="status">
        {now ? `${touchWord(now.touch)}: ${ROLE_WORDS[now.role]}` : 'Step through it, or play it.'}
      </p>
      <div className="sign-keys">
        <Button variant="outline-primary" aria-label="Back one touch" onClick={move(-1)}>
          <ChevronLeft size={20} aria-hidden="true" />
        </Button>
        <Button
          onClick={() => {
            setAt(null);
            setRunning(true);
          }}
        >
          <Play size={18} aria-hidden="true" /> Play
        </Button>
        <Button variant="outline-primary" aria-label="Next touch" onClick={move(1)}>
          <ChevronRight size={20} aria-hidden="true" />
        </Button>
        <Button
          variant="outline-primary"
          onClick={() => {
            setAt(null);
            setRunning(false);
            onAnother();
          }}
        >
          <RotateCw size={18} aria-hidden="true" /> Another
        </Button>
      </div>
      <Choice label="Pace" options={PACES} value={pace} onChange={setPace} />
    </div>
  );
}
