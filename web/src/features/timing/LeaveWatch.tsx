import { describeMisfit, judgeLeave, type StartTechnique } from '@bradyon/core/timing';
import { secondsBetween, type ReadingId } from '@bradyon/core/units';
import { Undo2 } from 'lucide-react';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { wallOffsetMs } from '../../api/index.ts';
import { RunningSelect, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { hundredths, seconds as secondsText, TapButton, useKeys } from '../../ui/index.ts';
import { NobodyToTime } from './BatteryWatch.tsx';
import { draftOf } from './drafts.ts';
import './LeaveWatch.scss';
import { RunnerQueue } from './RunnerQueue.tsx';
import { StartField } from './RunnersWatch.tsx';
import { Latest, Seen } from './Seen.tsx';
import { useLine } from './useLine.ts';
import { tick } from './WatchFace.tsx';
import { leaveWords } from './words.ts';
import { readingWrite } from './writes.ts';

type LeaveEvent = 'release' | 'leave';
const OTHER: Record<LeaveEvent, LeaveEvent> = { release: 'leave', leave: 'release' };

/** The first of the two taps, whichever it was. */
interface FirstTap {
  side: LeaveEvent;
  atMs: number;
}
/** Two events further apart than this are not one pitch. */
const ONE_PITCH_MS = 1500;

/** Leave-time against release: two tap areas, because either may come first. */
export function LeaveWatch() {
  const team = useTeam();
  const { onField } = usePlaying(team.id);
  const { timedRunners: runners } = onField;
  const line = useLine(team.id, runners);
  const { current } = line;
  const [start, setStart] = useState<StartTechnique | null>(null);
  const [words, setWords] = useState('Tap both: the release and the foot leaving the bag');
  const [last, setLast] = useState<{ seconds: number | null; id: ReadingId } | null>(null);
  const [waiting, setWaiting] = useState<LeaveEvent | null>(null);
  const half = useRef<FirstTap | null>(null);

  const tap = (side: LeaveEvent, atMs: number): void => {
    tick();
    const first = half.current;
    if (!first || first.side === side || atMs - first.atMs > ONE_PITCH_MS) {
      half.current = { side, atMs };
      setWaiting(OTHER[side]);
      setWords(
        side === 'release' ? 'Released. Tap when the foot leaves' : 'Left. Tap at the release',
      );
      return;
    }
    half.current = null;
    setWaiting(null);
    const runner = line.now();
    if (!runner) return;
    const gap = secondsBetween(first.atMs, atMs);
    const draft = draftOf(
      { kind: 'leave', seconds: first.side === 'release' ? gap : -gap },
      { personId: runner.id, start },
      { method: 'thumb', resolutionSeconds: null, atMs: wallOffsetMs() + atMs },
    );
    const misfit = describeMisfit(draft);
    if (misfit) {
      setWords(`${secondsText(draft.seconds)} was not saved. ${misfit.message}`);
      return;
    }
    readingWrite.send(team.id, { step: 'add', draft });
    setLast({ seconds: draft.seconds, id: draft.id });
    setWords(`${runner.name}. ${leaveWords(judgeLeave(draft.seconds), draft.seconds)}`);
    line.kept();
  };
  const undo = (): void => {
    if (half.current) {
      half.current = null;
      setWaiting(null);
      setWords('Undone. Tap both again');
    } else if (last) {
      readingWrite.send(team.id, {
        step: 'judge',
        readingId: last.id,
        reason: 'wrong tap',
        vouched: false,
      });
      line.takenBack();
      setLast(null);
      setWords('Set aside. Tap both again');
    }
  };
  useKeys({
    f: (atMs) => {
      tap('release', atMs);
    },
    j: (atMs) => {
      tap('leave', atMs);
    },
    z: undo,
  });

  return (
    <div className="time">
      <div className="time-hand">
        <div className="time-line">
          <RunningSelect />
          <RunnerQueue runners={runners} queue={line.queue} onChange={line.change} />
        </div>
        <div className="leave">
          <p className="leave-words" role="status">
            <strong className="figure">
              {last?.seconds == null ? '–.––' : signed(last.seconds)}
            </strong>
            <span>{words}</span>
          </p>
          <div className="leave-faces">
            {(['release', 'leave'] as const).map((side) => (
              <TapButton
                key={side}
                className={waiting === side ? 'leave-face leave-face-due' : 'leave-face'}
                // Both thumbs may be down at once.
                anyFinger
                onTap={(atMs) => {
                  tap(side, atMs);
                }}
              >
                {side === 'release' ? 'Release' : 'Left the bag'}
                <kbd>{side === 'release' ? 'F' : 'J'}</kbd>
              </TapButton>
            ))}
          </div>
        </div>
        <div className="time-keys">
          <StartField start={start} leads={false} onChange={setStart} />
          <Button
            variant="outline-primary"
            disabled={waiting === null && last === null}
            onClick={undo}
          >
            <Undo2 size={18} aria-hidden="true" /> Undo <kbd>Z</kbd>
          </Button>
        </div>
      </div>
      <div className="time-seen">
        {current ? (
          <>
            <Seen person={current} role="runner" kinds={['leave']} />
            <Latest people={runners} kinds={['leave']} />
          </>
        ) : (
          <NobodyToTime who="your players" />
        )}
        <p className="quiet time-care">
          Leaving early is an out where the rules say so. The umpire decides. A thumb is good to
          about .05 s.
        </p>
      </div>
    </div>
  );
}

function signed(seconds: number): string {
  return `${seconds < 0 ? '−' : '+'}${hundredths(Math.abs(seconds))}`;
}
