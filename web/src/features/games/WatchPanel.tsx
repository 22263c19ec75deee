import { Undo2 } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { Choice, useKeys } from '../../ui/index.ts';
import { STYLE_WORDS, WatchFace } from '../timing/index.ts';
import { DELIVERY_STYLES } from '@bradyon/core/timing';
import type { Desk } from './useDesk.ts';
import { useGame } from './useGame.ts';
import { useGameWatch } from './useGameWatch.ts';

/** The watch, tied to who pitches and catches in this game. */
export function WatchPanel({ desk, hasKeys = true }: { desk: Desk; hasKeys?: boolean }) {
  const game = useGame();
  const { hand, isPick, setPick, fromSet, setFromSet, hasStyles } = useGameWatch(desk, game);
  const base = desk.race?.base ?? 'second';
  useKeys({
    Space: hand.tap,
    ...(hasStyles &&
      hasKeys && {
        l: () => {
          desk.setStyle('legLift');
        },
        d: () => {
          desk.setStyle('slideStep');
        },
      }),
  });
  const pitcher = game.name(game.situation.pitcher);
  const about = isPick
    ? `${pitcher}, pickoff`
    : `${pitcher}${hasStyles ? `, ${STYLE_WORDS[desk.style].toLowerCase()}` : ''}, to ${base}`;
  return (
    <section className="game-watch" aria-label="Watch">
      <WatchFace hand={hand} about={about} />
      <div className="game-watch-keys">
        {hasStyles && (
          <Choice
            label="Delivery"
            options={DELIVERY_STYLES.map((value) => ({
              value,
              text: STYLE_WORDS[value],
              hotkey: value === 'legLift' ? 'L' : 'D',
            }))}
            value={desk.style}
            onChange={desk.setStyle}
          />
        )}
        <div className="game-watch-buttons">
          {hasStyles && (
            <>
              <Button
                variant="outline-primary"
                aria-pressed={isPick}
                active={isPick}
                onClick={() => {
                  setPick(!isPick);
                }}
              >
                Pickoff
              </Button>
              <Button
                variant="outline-primary"
                aria-pressed={fromSet}
                active={fromSet}
                onClick={() => {
                  setFromSet(!fromSet);
                }}
              >
                Hold
              </Button>
            </>
          )}
          <Button
            variant="outline-primary"
            disabled={hand.watch.tapsMs.length === 0}
            onClick={hand.undo}
          >
            <Undo2 size={18} aria-hidden="true" /> Tap
          </Button>
        </div>
      </div>
    </section>
  );
}
