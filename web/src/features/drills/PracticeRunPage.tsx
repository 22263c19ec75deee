import { partAt, partsOf, practiceMinutes, type Practice } from '@bradyon/core/drills';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { useTeam } from '../teams/index.ts';
import { OnePractice } from './OnePractice.tsx';
import { buzz, openSound, type Sound } from './sound.ts';
import { groupName, partRows } from './timetable.ts';
import { useAwake } from '../../ui/useAwake.ts';

/** When each practice was started on this device: a reload goes on where it was. */
const useStarted = create<{ at: Record<string, number> }>()(
  persist((): { at: Record<string, number> } => ({ at: {} }), { name: 'bradyon-practice-clock' }),
);

function setStarted(id: string, atMs: number | null): void {
  useStarted.setState(({ at }) => {
    const rest = Object.fromEntries(Object.entries(at).filter(([other]) => other !== id));
    return { at: atMs === null ? rest : { ...rest, [id]: atMs } };
  });
}

/** The practice by the clock: where each group is, how long still, a sound at every change. */
export function PracticeRunPage() {
  return (
    <OnePractice title="Practice clock">
      {(practice) => <Clock key={practice.id} practice={practice} />}
    </OnePractice>
  );
}

const TICK_MS = 500;

function Clock({ practice }: { practice: Practice & { id: string } }) {
  const team = useTeam();
  const startedMs = useStarted(({ at }) => at[practice.id] ?? null);
  const [nowMs, setNowMs] = useState(() => Date.now());
  const sound = useRef<Sound | null>(null);
  const isOn = startedMs !== null;
  useAwake(isOn);
  useEffect(() => {
    if (!isOn) return;
    const timer = setInterval(() => {
      setNowMs(Date.now());
    }, TICK_MS);
    return () => {
      clearInterval(timer);
    };
  }, [isOn]);
  useEffect(
    () => () => {
      sound.current?.close();
      sound.current = null;
    },
    [],
  );
  const minutes = startedMs === null ? 0 : Math.max(0, (nowMs - startedMs) / 60_000);
  const now = partAt(practice, minutes);
  const parts = partsOf(practice);
  const rows = partRows(practice);
  const part = now && parts[now.part];
  // Between two parts they change over: the next one has not begun.
  const isChanging = part !== null && part !== undefined && minutes < part.start;
  const isLastMinute = now !== null && !isChanging && now.left <= 1;
  const state =
    now === null ? 'over' : `${String(now.part)} ${String(isChanging)} ${String(isLastMinute)}`;
  const before = useRef(state);
  useEffect(() => {
    if (!isOn || before.current === state) return;
    before.current = state;
    sound.current?.play(isLastMinute ? 'minute' : 'change', performance.now());
    buzz();
  }, [isOn, state, isLastMinute]);
  const start = (atMs: number): void => {
    sound.current ??= openSound();
    before.current = '';
    setNowMs(Date.now());
    setStarted(practice.id, atMs);
  };
  if (!isOn) {
    return (
      <section className="card-box practice-clock">
        <p>
          {practice.name}, {practiceMinutes(practice)} minutes. The phone sounds at every change,
          and a minute before it.
        </p>
        <Button
          size="lg"
          onClick={() => {
            start(Date.now());
          }}
        >
          Start the clock
        </Button>
      </section>
    );
  }
  const left = now ? now.left : 0;
  const next = now ? rows[now.part + (isChanging ? 0 : 1)] : undefined;
  const skip = (): void => {
    if (!now || !part) return;
    const to = isChanging ? part.start : (parts[now.part + 1]?.start ?? part.end);
    start(startedMs - (to - minutes) * 60_000);
  };
  return (
    <section className="card-box practice-clock">
      {now && part ? (
        <>
          <p className="practice-left figure" role="timer">
            {isChanging ? clockText(part.start - minutes) : clockText(left)}
          </p>
          <p className="practice-now" role="status">
            {isChanging
              ? 'Change over'
              : part.what === 'stations'
                ? 'At the stations'
                : rows[now.part]?.what}
            {isLastMinute && ', last minute'}
          </p>
          {part.what === 'stations' && (
            <ul className="practice-where">
              {rows[now.part]?.groups.map(({ name, text, reps }, group) => (
                <li key={groupName(group)}>
                  <span>{groupName(group)}</span> <strong>{text}</strong>
                  {reps !== null && <span className="quiet"> {reps} each</span>}
                  {LINKS[name] && <Link to={`/teams/${team.id}/${LINKS[name]}`}>Open</Link>}
                </li>
              ))}
            </ul>
          )}
          {next && !isChanging && <p className="quiet">Next, {next.what}</p>}
          <div className="practice-tools">
            <Button variant="outline-primary" onClick={skip}>
              Skip ahead
            </Button>
            <Button
              variant="link"
              onClick={() => {
                setStarted(practice.id, null);
              }}
            >
              End it here
            </Button>
          </div>
        </>
      ) : (
        <>
          <p className="practice-now">That was it. What was tapped is kept.</p>
          <Button
            onClick={() => {
              setStarted(practice.id, null);
            }}
          >
            Done
          </Button>
        </>
      )}
    </section>
  );
}

/** Where what is done at a station is tapped. */
const LINKS: Record<string, string> = {
  starts: 'drills/starts',
  reads: 'drills/reads',
  leaves: 'drills/leaves',
  sendHold: 'drills/sends',
  bunts: 'bunts/bunters',
  squeeze: 'bunts/squeeze',
  signs: 'signs/drills',
  dives: 'leads',
  rounding: 'bases/turns',
  tags: 'bases/flies',
  throws: 'timing',
  steals: 'timing',
};

/** "12:04" of minutes left. */
function clockText(minutes: number): string {
  const all = Math.max(0, Math.ceil(minutes * 60));
  return `${String(Math.floor(all / 60))}:${String(all % 60).padStart(2, '0')}`;
}
