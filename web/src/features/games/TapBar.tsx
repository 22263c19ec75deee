import { Undo2 } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { useKeys } from '../../ui/index.ts';
import { PitchButtons } from './PitchButtons.tsx';
import type { Taps } from './useTaps.ts';
import { useGame } from './useGame.ts';
import { ThirdStrike } from './ThirdStrike.tsx';
import { StealPanel } from './StealPanel.tsx';
import { PickPanel } from './PickPanel.tsx';

const BallInPlay = lazy(async () => ({ default: (await import('./BallInPlay.tsx')).BallInPlay }));
const SubPanel = lazy(async () => ({ default: (await import('./SubPanel.tsx')).SubPanel }));
const MorePanel = lazy(async () => ({ default: (await import('./MorePanel.tsx')).MorePanel }));

type Panel = 'inPlay' | 'steal' | 'pick' | 'sub' | 'more' | { third: 'called' | 'swinging' };

/**
 * Everything that happens, in one or two taps, each with its key.
 * @param short what a thumb in a box taps; the bench has it all
 */
export function TapBar({ taps, short = false }: { taps: Taps; short?: boolean }) {
  const { situation, undoLast } = useGame();
  const [panel, setPanel] = useState<Panel | null>(null);
  const close = (): void => {
    setPanel(null);
  };
  const open = (next: Panel) => (): void => {
    setPanel(next);
  };
  const isOver = situation.over !== null;
  const anybodyOn = Object.values(situation.bases).some((id) => id !== null);
  const pickBack = (): void => {
    const base = (['first', 'second', 'third'] as const).find(
      (each) => situation.bases[each] !== null,
    );
    if (base) taps.tell({ kind: 'pick', base, result: 'back' });
  };
  const stepOff = (): void => {
    taps.tell({ kind: 'stepOff' });
  };
  useKeys({
    z: undoLast,
    ...(!isOver && {
      h: () => {
        taps.pitch({ result: 'hitByPitch' });
      },
      u: open('sub'),
      m: open('more'),
      ...(anybodyOn && { k: pickBack, p: open('pick'), o: stepOff, g: open('steal') }),
    }),
  });
  return (
    <div className="tap-bar" role="group" aria-label="What happened">
      <div className="tap-row">
        <PitchButtons
          taps={taps}
          short={short}
          onThirdStrike={(third) => {
            setPanel({ third });
          }}
          onInPlay={open('inPlay')}
        />
        {!short && (
          <button
            type="button"
            className="tap"
            disabled={isOver}
            onClick={() => {
              taps.pitch({ result: 'hitByPitch' });
            }}
          >
            Hit batter <kbd aria-hidden="true">H</kbd>
          </button>
        )}
      </div>
      <div className="tap-row">
        <button
          type="button"
          className="tap tap-steal"
          disabled={isOver || !anybodyOn}
          onClick={open('steal')}
        >
          Steal <kbd aria-hidden="true">G</kbd>
        </button>
        <button type="button" className="tap" disabled={isOver || !anybodyOn} onClick={pickBack}>
          {short ? 'Pick' : 'Pick, back'} <kbd aria-hidden="true">K</kbd>
        </button>
        {!short && (
          <>
            <button
              type="button"
              className="tap"
              disabled={isOver || !anybodyOn}
              onClick={open('pick')}
            >
              Pickoff... <kbd aria-hidden="true">P</kbd>
            </button>
            <button type="button" className="tap" disabled={isOver || !anybodyOn} onClick={stepOff}>
              Step off <kbd aria-hidden="true">O</kbd>
            </button>
            <button type="button" className="tap" disabled={isOver} onClick={open('sub')}>
              Sub <kbd aria-hidden="true">U</kbd>
            </button>
          </>
        )}
        <button type="button" className="tap" onClick={open('more')}>
          More <kbd aria-hidden="true">M</kbd>
        </button>
        <button type="button" className="tap" onClick={undoLast}>
          <Undo2 size={18} aria-hidden="true" /> Undo <kbd aria-hidden="true">Z</kbd>
        </button>
      </div>
      <Suspense>
        {panel === 'inPlay' && <BallInPlay taps={taps} onClose={close} />}
        {panel === 'steal' && <StealPanel taps={taps} onClose={close} />}
        {panel === 'pick' && <PickPanel taps={taps} onClose={close} />}
        {panel === 'sub' && <SubPanel onClose={close} />}
        {panel === 'more' && <MorePanel taps={taps} onClose={close} />}
        {panel !== null && typeof panel === 'object' && (
          <ThirdStrike result={panel.third} taps={taps} onClose={close} />
        )}
      </Suspense>
    </div>
  );
}
