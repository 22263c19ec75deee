import { isMissed, type DrillItem } from '@bradyon/core/signs';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { seconds } from '../../ui/index.ts';
import { SignFigure, useSteps, type Pace } from './SignPlayer.tsx';
import { signWord } from './words.ts';

/** Longer than this counts as this. */
const MOST_SECONDS = 60;

export interface Answered {
  item: DrillItem;
  answered: string | null;
  seconds: number;
}

/** Where the game stands for a sequence, when it matters. */
function spotWords({ inning, outs, bases }: DrillItem['context']): string {
  const on = [
    ...(bases & 1 ? ['first'] : []),
    ...(bases & 2 ? ['second'] : []),
    ...(bases & 4 ? ['third'] : []),
  ];
  const runners = on.length === 0 ? 'nobody on' : `runner on ${on.join(' and ')}`;
  return `Inning ${String(inning)}, ${String(outs)} out, ${runners}`;
}

/** The figure gives sequences; the player answers with the play, or nothing on. */
export function DrillRunner({
  items,
  plays,
  who,
  pace = '700',
  onAnswer,
  onDone,
}: {
  items: readonly DrillItem[];
  plays: readonly string[];
  /** Who has to answer each of them; empty: it is plain. */
  who: (index: number) => string;
  pace?: Pace;
  onAnswer: (answered: Answered) => void;
  onDone: () => void;
}) {
  const [index, setIndex] = useState(0);
  const [right, setRight] = useState(0);
  const item = items[index];
  if (!item) return null;
  return (
    <div className="drill">
      <p className="drill-where" role="status">
        {who(index) !== '' && <strong>{who(index)}. </strong>}
        {String(index + 1)} of {items.length}, {right} right
      </p>
      <One
        key={index}
        item={item}
        plays={plays}
        pace={pace}
        onAnswer={(answered) => {
          if (answered.answered === item.means) setRight(right + 1);
          onAnswer(answered);
        }}
        onNext={() => {
          if (index + 1 < items.length) setIndex(index + 1);
          else onDone();
        }}
      />
    </div>
  );
}

function One({
  item,
  plays,
  pace,
  onAnswer,
  onNext,
}: {
  item: DrillItem;
  plays: readonly string[];
  pace: Pace;
  onAnswer: (answered: Answered) => void;
  onNext: () => void;
}) {
  const [isRunning, setRunning] = useState(true);
  const [answer, setAnswer] = useState<Answered | null>(null);
  const endedAt = useRef<number | null>(null);
  const [at] = useSteps(item.touches, pace, isRunning, () => {
    setRunning(false);
  });
  useEffect(() => {
    if (!isRunning) endedAt.current ??= performance.now();
  }, [isRunning]);
  const next = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (answer) next.current?.focus();
  }, [answer]);
  /** @param atMs when it was tapped, on the clock of the page */
  const say = (answered: string | null, atMs: number): void => {
    // Before the end it is a guess that came in no time.
    const since = endedAt.current === null ? 0 : Math.max(0, atMs - endedAt.current) / 1000;
    const own = { item, answered, seconds: Math.min(MOST_SECONDS, Math.round(since * 100) / 100) };
    setRunning(false);
    setAnswer(own);
    onAnswer(own);
  };
  return (
    <>
      <p className="quiet">{spotWords(item.context)}</p>
      <SignFigure touch={isRunning && at !== null ? (item.touches[at] ?? null) : null} />
      {answer ? (
        <div className="drill-said" role="status">
          <p>
            <strong>{answer.answered === item.means ? 'Right' : 'Wrong'}.</strong>{' '}
            {answer.answered === item.means
              ? late(answer)
              : `It was ${signWord(item.means).toLowerCase()}.`}
          </p>
          <Button ref={next} onClick={onNext}>
            Next
          </Button>
        </div>
      ) : (
        <div className="drill-answers">
          {[null, ...plays].map((play) => (
            <Button
              key={String(play)}
              variant={play === null ? 'primary' : 'outline-primary'}
              onClick={({ timeStamp }) => {
                say(play, timeStamp);
              }}
            >
              {signWord(play)}
            </Button>
          ))}
        </div>
      )}
    </>
  );
}

function late({ item: { means }, answered, seconds: took }: Answered): string {
  const isLate = isMissed({ meant: means, answered, seconds: took, day: 0 });
  return isLate ? `${seconds(took)}: too slow for a game.` : seconds(took);
}
