import { tick } from '../timing/index.ts';
import { useKeys, type Keys } from '../../ui/index.ts';
import type { Taps } from './useTaps.ts';
import { useGame } from './useGame.ts';

/** One tap for what most pitches come to. */
const PITCHES = [
  { result: 'ball', text: 'Ball', key: 'b' },
  { result: 'called', text: 'Called', key: 'c' },
  { result: 'swinging', text: 'Swing', key: 's' },
  { result: 'foul', text: 'Foul', key: 'f' },
] as const;

/** Ball, strikes and foul: one tap each. A third strike that may get away is asked about. */
export function PitchButtons({
  taps,
  onThirdStrike,
  onInPlay,
  short = false,
}: {
  taps: Taps;
  /** The catcher may not have held it. */
  onThirdStrike: (result: 'called' | 'swinging') => void;
  onInPlay: () => void;
  /** Only what a thumb at first base taps: ball, strike, in play. */
  short?: boolean;
}) {
  const { situation } = useGame();
  const isOver = situation.over !== null;
  const tapPitch = (result: (typeof PITCHES)[number]['result']): void => {
    if (isOver) return;
    tick();
    const isThird = situation.strikes === 2 && situation.droppedThird;
    if (isThird && (result === 'called' || result === 'swinging')) onThirdStrike(result);
    else taps.pitch({ result });
  };
  useKeys({
    ...Object.fromEntries(
      PITCHES.map(({ result, key }): [string, Keys[string]] => [
        key,
        () => {
          tapPitch(result);
        },
      ]),
    ),
    i: () => {
      if (!isOver) onInPlay();
    },
  });
  const shown = short ? PITCHES.filter(({ result }) => result !== 'swinging') : PITCHES;
  return (
    <>
      {shown.map(({ result, text, key }) => (
        <button
          key={result}
          type="button"
          className="tap tap-pitch"
          disabled={isOver}
          onClick={() => {
            tapPitch(result);
          }}
        >
          {short && result === 'called' ? 'Strike' : text}{' '}
          <kbd aria-hidden="true">{key.toUpperCase()}</kbd>
        </button>
      ))}
      <button type="button" className="tap tap-pitch" disabled={isOver} onClick={onInPlay}>
        In play <kbd aria-hidden="true">I</kbd>
      </button>
    </>
  );
}
