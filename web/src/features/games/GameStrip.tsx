import { useState, type ReactNode } from 'react';
import { personLabel } from '../people/index.ts';
import { StripSlot } from '../teams/index.ts';
import { Correct } from './Correct.tsx';
import { basesWords, MiniDiamond } from './MiniDiamond.tsx';
import { inningWords, outsWords } from './situationWords.ts';
import { useGame } from './useGame.ts';

/** Where the game stands, on top of every page of it. A tap corrects it. */
export function GameStrip({
  canCorrect,
  children,
}: {
  canCorrect: boolean;
  /** What stands at its end: who is connected. */
  children: ReactNode;
}) {
  const { situation, ours, theirs, name, person } = useGame();
  const [isOpen, setOpen] = useState(false);
  const { runs, outs, balls, strikes, bases, over } = situation;
  const correct = (): void => {
    if (canCorrect) setOpen(true);
  };
  const batter = person(situation.batter);
  const tiles = [
    { key: 'inning', figure: over ? 'Final' : inningWords(situation), under: 'inning' },
    { key: 'score', figure: `${String(runs[ours])}–${String(runs[theirs])}`, under: 'us – them' },
    { key: 'outs', figure: String(outs), under: outs === 1 ? 'out' : 'outs' },
    { key: 'count', figure: `${String(balls)}–${String(strikes)}`, under: 'count' },
  ];
  return (
    <StripSlot>
      <div className="game-strip" role="group" aria-label="Where the game stands">
        {tiles.map(({ key, figure, under }) => (
          <button
            key={key}
            type="button"
            className={`game-tile game-tile-${key}`}
            disabled={!canCorrect}
            onClick={correct}
          >
            <strong className="figure">{figure}</strong>
            <span>{under}</span>
          </button>
        ))}
        <button
          type="button"
          className="game-tile"
          disabled={!canCorrect}
          aria-label={basesWords(bases)}
          onClick={correct}
        >
          <MiniDiamond bases={bases} />
        </button>
        <button
          type="button"
          className="game-tile game-tile-who"
          disabled={!canCorrect}
          onClick={correct}
        >
          <strong>{batter ? personLabel(batter) : 'Somebody'} up</strong>
          <span>{name(situation.pitcher)} pitching</span>
        </button>
        {children}
        <p className="visually-hidden" role="status">
          {`${inningWords(situation)}, ${outsWords(outs)}, count ${String(balls)} and ${String(strikes)}, ${basesWords(bases)}, us ${String(runs[ours])}, them ${String(runs[theirs])}.`}
        </p>
      </div>
      {isOpen && (
        <Correct
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </StripSlot>
  );
}
