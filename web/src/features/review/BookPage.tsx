import {
  habitAt,
  habitChanged,
  habitOf,
  holdPattern,
  STANDS,
  type Habit,
  type SeenHabit,
  type Share,
  type Stands,
} from '@bradyon/core/review';
import type { Person } from '@bradyon/core/people';
import type { Population } from '@bradyon/core/sprint';
import type { Reading, ReadingKind } from '@bradyon/core/timing';
import type { PersonId } from '@bradyon/core/units';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import {
  Empty,
  Failure,
  Loading,
  percent,
  PickOne,
  seconds,
  Sheet,
  shortDate,
  timesCount,
  useTitle,
} from '../../ui/index.ts';
import { GameTabs, useSeason } from '../games/index.ts';
import { lastName, personLabel, usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { titleOf, useTimes } from '../timing/index.ts';
import './Review.scss';
import { HABIT_TEXT, STANDS_TEXT } from './words.ts';

/** What opponents do with runners on and on base, by counts that fade, before the next game against them. */
export function BookPage() {
  useTitle('Their book');
  const team = useTeam();
  const { people, opponents, isLoading } = usePeople(team.id);
  const season = useSeason(team.id);
  const [chosen, setChosen] = useState('');
  const [isPaper, setPaper] = useState(false);
  const opponent = opponents.find(({ id }) => id === chosen) ?? opponents[0];
  const theirs = people.filter(
    ({ opponentId, retired }) => opponentId === opponent?.id && !retired,
  );
  const pages = (
    <Book
      name={opponent?.name ?? ''}
      people={theirs}
      seen={season.data?.habits ?? []}
      isPaper={isPaper}
    />
  );
  return (
    <>
      <div className="page-head no-print">
        <h1>Their book</h1>
        <GameTabs />
      </div>
      {season.error && !season.data ? (
        <Failure
          error={season.error}
          retry={() => {
            void season.refetch();
          }}
        />
      ) : isLoading || !season.data ? (
        <Loading what="their book" />
      ) : !opponent ? (
        <Empty title="No opponents yet." />
      ) : (
        <>
          <div className="control-row review-box no-print">
            <PickOne
              label="Opponent"
              value={opponent.id}
              options={opponents.map(({ id, name }) => ({ value: id, text: name }))}
              onChange={setChosen}
            />
            <Button
              variant="outline-primary"
              onClick={() => {
                setPaper(!isPaper);
              }}
            >
              {isPaper ? 'Back to the screen' : 'On paper'}
            </Button>
          </div>
          {isPaper ? <Sheet title={`Book on ${opponent.name}`}>{() => pages}</Sheet> : pages}
        </>
      )}
    </>
  );
}

/** Who is in the book, and by what they are known. */
const PARTS = [
  {
    title: 'Pitchers',
    habits: [
      'slideStepRunnerOnFirst',
      'slideStepOther',
      'throwOverFirstPerPitch',
      'throwOverSecondPerPitch',
      'throwOverRepeat',
      'stepOff',
    ],
    kinds: ['delivery', 'flight', 'hold', 'pick'],
  },
  {
    title: 'Catchers',
    habits: ['pitchOut', 'throwBehindFirst', 'throwBehindThird'],
    kinds: ['pop'],
  },
  { title: 'Arms', habits: [], kinds: ['outfieldThrow'] },
  { title: 'Runners', habits: ['runs'], kinds: ['steal', 'homeToFirst'] },
] as const satisfies { title: string; habits: readonly Habit[]; kinds: readonly ReadingKind[] }[];

function Book({
  name,
  people,
  seen,
  isPaper,
}: {
  name: string;
  people: readonly Person[];
  seen: readonly SeenHabit[];
  isPaper: boolean;
}) {
  const team = useTeam();
  const times = useTimes(team);
  const [now] = useState(() => new Date());
  const parts = PARTS.map(({ title, habits, kinds }) => ({
    title,
    habits,
    entries: people.flatMap((person) => {
      const rows = habits.flatMap((habit) => rowOf(seen, person.id, habit, now) ?? []);
      const timed = times
        .of(person)
        .filter(
          ({ context, estimate }) =>
            (kinds as readonly ReadingKind[]).includes(context.kind) && estimate !== null,
        );
      return rows.length + timed.length === 0 ? [] : [{ person, rows, timed }];
    }),
  })).filter(({ entries }) => entries.length > 0);
  if (parts.length === 0) {
    return (
      <Empty title="Nothing seen of them yet.">
        <p>Tap pitches, slide steps and throws over in a game with runners on, or time them.</p>
      </Empty>
    );
  }
  return (
    <>
      {isPaper && <h2>Book on {name}</h2>}
      {parts.map(({ title, habits, entries }) => (
        <section key={title} className={isPaper ? '' : 'card-box review-box'}>
          <h2>{title}</h2>
          {habits.length > 1 || title === 'Arms' ? (
            entries.map(({ person, rows, timed }) => (
              <div key={person.id} className="review-person">
                <h3>{personLabel(person)}</h3>
                {timed.length > 0 && <p>{timed.map(timeText).join('. ')}.</p>}
                <Holds counts={wholeHolds(times.readingsOf(person.id))} />
                {rows.length > 0 && (
                  <HabitTable rows={rows.map((row) => ({ row, title: HABIT_TEXT[row.habit] }))} />
                )}
              </div>
            ))
          ) : (
            <>
              <p className="quiet">{habits.map((habit) => HABIT_TEXT[habit]).join()}</p>
              <HabitTable
                rows={entries.flatMap(({ person, rows, timed }) =>
                  rows.map((row) => ({
                    row,
                    title: [personLabel(person), ...timed.map(timeText)].join('. '),
                  })),
                )}
              />
            </>
          )}
        </section>
      ))}
      <p className="quiet">
        Counts first. The range is where the share lies eight times in ten: older games fade, half
        in 45 days, and little seen lies near what is usual.
      </p>
    </>
  );
}

function timeText({ context, estimate }: Population): string {
  return `${titleOf(context)} ${seconds(estimate?.meanSeconds ?? 0)}, ${timesCount(estimate?.count ?? 0)}`;
}

/** Whole seconds of holds, the oldest first. */
function wholeHolds(readings: readonly Reading[]): number[] {
  return readings
    .filter(({ kind, asideReason }) => kind === 'hold' && asideReason === null)
    .map((reading) => Math.round(reading.seconds))
    .toReversed();
}

/** As few show no pattern, and so seldom by chance is one. Agreed; judgement. */
const [LEAST_HOLDS, HARDLY] = [8, 0.05];
const SHUFFLED_BY = 7919;

/** Whether the counts of a pitcher follow one another. */
function Holds({ counts }: { counts: readonly number[] }) {
  const found = useMemo(
    () => (counts.length < LEAST_HOLDS ? null : holdPattern(counts, SHUFFLED_BY)),
    [counts],
  );
  if (!found) return null;
  const { repeats, expectedRepeats, chanceRepeats, chanceOrder } = found;
  const says =
    chanceRepeats < HARDLY && repeats > expectedRepeats
      ? 'Holds the same count again more than chance'
      : chanceOrder < HARDLY
        ? 'One hold tells the next'
        : 'No pattern in the holds';
  const each = found.counts.map(([count, times]) => `${String(count)} s ${String(times)} times`);
  return (
    <p>
      {says}: {each.join(', ')}.
    </p>
  );
}

interface Row {
  habit: Habit;
  share: Share;
  /** How it stands by count and with a runner on, where enough was seen. */
  cells: { of: Stands | PersonId; seen: Share['seen'] }[];
  changed: ReturnType<typeof habitChanged>;
}

/** As few chances say nothing of one count or one runner. */
const LEAST_IN_CELL = 4;

function rowOf(seen: readonly SeenHabit[], who: PersonId, habit: Habit, now: Date): Row | null {
  const share = habitOf(seen, who, habit, now);
  if (!share) return null;
  const runners = new Set(
    seen.flatMap((each) =>
      each.who === who && each.habit === habit && each.runner !== null && each.runner !== who
        ? [each.runner]
        : [],
    ),
  );
  const cells = [
    ...STANDS.map((stands) => ({ of: stands, found: habitAt(seen, who, habit, { stands }, now) })),
    // With one runner on only where it is other than with everybody.
    ...[...runners].flatMap((runner) => {
      const found = habitAt(seen, who, habit, { runner }, now);
      const isOther = found && (found.low > share.mean || found.high < share.mean);
      return isOther ? [{ of: runner, found }] : [];
    }),
  ].flatMap(({ of, found }) =>
    found && found.seen[1] >= LEAST_IN_CELL ? [{ of, seen: found.seen }] : [],
  );
  return { habit, share, cells, changed: habitChanged(seen, who, habit, now) };
}

function HabitTable({ rows }: { rows: readonly { row: Row; title: string }[] }) {
  return (
    <table className="review-table review-habits">
      <tbody>
        {rows.map(({ row, title }) => (
          <HabitRow key={title} row={row} title={title} />
        ))}
      </tbody>
    </table>
  );
}

function HabitRow({ row: { share, cells, changed }, title }: { row: Row; title: string }) {
  const team = useTeam();
  const { people } = usePeople(team.id);
  const [yes, of] = share.seen;
  const cellName = (cell: Stands | PersonId): string => {
    const stands = STANDS.find((each) => each === cell);
    if (stands) return STANDS_TEXT[stands];
    const runner = people.find(({ id }) => id === cell);
    return runner ? `with ${lastName(runner)} on` : 'with somebody on';
  };
  return (
    <tr>
      <th scope="row">{title}</th>
      <td className="figure">
        {yes} of {of}
      </td>
      <td>
        {percent(share.low)} to {percent(share.high)}
        {changed && (
          <strong>
            {' '}
            Changed: {changed.yes} of {changed.of} on {shortDate(changed.startsAt)}
          </strong>
        )}
        {yes > 0 && cells.length > 0 && (
          <small className="review-cells">
            {cells
              .map(
                ({ of: cell, seen }) =>
                  `${cellName(cell)} ${String(seen[0])} of ${String(seen[1])}`,
              )
              .join(', ')}
          </small>
        )}
      </td>
    </tr>
  );
}
