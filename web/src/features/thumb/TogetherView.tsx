import { TOGETHER_KINDS, type Together, type TogetherKind } from '@bradyon/contract/thumb';
import { timesFromRelease } from '@bradyon/core/rules';
import { TOGETHER_ENOUGH, TOGETHER_LEAST } from '@bradyon/core/timing';
import { secondsBetween, type TogetherId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { newId, request } from '../../api/index.ts';
import { Choice, Empty, Failure, giveOrTake, Loading, notify } from '../../ui/index.ts';
import { useAccount } from '../accounts/index.ts';
import { useTeam } from '../teams/index.ts';
import { KIND_WORDS, tick, useKeys } from '../timing/index.ts';
import { togetherKey, togetherWrite } from './writes.ts';
import { nextEvent, togetherResult, type TogetherResult } from './together.ts';

const POLL_MS = 3000;
const ENDS: Record<TogetherKind, [string, string]> = {
  delivery: ['first move', 'mitt'],
  flight: ['release', 'mitt'],
  pop: ['mitt', 'bag'],
};

/** Two or three coaches time the same pitches on their own devices; nobody knows the truth. */
export function TogetherView() {
  const team = useTeam();
  const { account } = useAccount();
  const client = useQueryClient();
  const posted = togetherWrite.useWaiting(team.id);
  const { data, error, refetch } = useQuery({
    queryKey: togetherKey(team.id),
    queryFn: () => request<Together[]>('GET', `/api/teams/${team.id}/together`),
    refetchInterval: POLL_MS,
  });
  const start = useMutation({
    mutationFn: (kind: TogetherKind) =>
      request<Together>('POST', `/api/teams/${team.id}/together`, {
        id: newId<TogetherId>(),
        kind,
      }),
    onSuccess: () => client.invalidateQueries({ queryKey: togetherKey(team.id) }),
    onError: ({ message }) => {
      notify(`Not started: ${message}`);
    },
  });
  const kinds = TOGETHER_KINDS.filter(
    (kind) => kind !== (timesFromRelease(team.ruleset) ? 'delivery' : 'flight'),
  );
  const [kind, setKind] = useState<TogetherKind>(kinds[0] ?? 'pop');
  if (error && !data) return <Failure error={error} retry={() => void refetch()} />;
  if (!data) return <Loading what="the round" />;

  const round = data[0];
  // What this device has tapped and not sent yet counts already.
  const waiting = posted
    .filter(({ togetherId }) => togetherId === round?.id)
    .map(({ draft }) => ({
      ...draft,
      accountId: account?.id ?? ('' as never),
      name: account?.name ?? '',
    }));
  const times = [...(round?.times ?? []), ...waiting];
  return (
    <div className="drill">
      <div className="drill-hand">
        {round ? (
          <TogetherWatch
            key={round.id}
            round={round}
            event={nextEvent(times, account?.id)}
            others={Math.max(
              0,
              ...times.filter((time) => time.accountId !== account?.id).map(({ event }) => event),
            )}
          />
        ) : (
          <Empty title="Nobody is timing together yet.">
            <p>Start a round here; the others open this page on their own devices and are in it.</p>
          </Empty>
        )}
        <div className="drill-buttons">
          <Choice
            label="What to time together"
            options={kinds.map((value) => ({ value, text: KIND_WORDS[value].name }))}
            value={kind}
            onChange={setKind}
          />
          <Button
            variant="outline-primary"
            disabled={start.isPending}
            onClick={() => {
              start.mutate(kind);
            }}
          >
            {round ? 'Start a new round' : 'Start a round'}
          </Button>
        </div>
      </div>
      <TogetherSpreads result={togetherResult(times)} />
    </div>
  );
}

/** One event after the other: two taps each, or missed. */
function TogetherWatch({
  round,
  event,
  others,
}: {
  round: Together;
  event: number;
  /** The last event that anybody else has. */
  others: number;
}) {
  const team = useTeam();
  const first = useRef<number | null>(null);
  const [words, setWords] = useState('');
  const [from, to] = ENDS[round.kind];
  const keep = (seconds: number | null): void => {
    first.current = null;
    togetherWrite.send(team.id, { togetherId: round.id, draft: { event, seconds } });
    setWords(seconds === null ? `Pitch ${String(event)} missed` : `${seconds.toFixed(2)} s`);
  };
  const tap = (atMs: number): void => {
    tick();
    if (first.current === null) {
      first.current = atMs;
      setWords(`Tap at the ${to}`);
      return;
    }
    const seconds = secondsBetween(first.current, atMs);
    if (seconds >= 0.1 && seconds <= 9) keep(seconds);
    else {
      first.current = null;
      setWords('That was no such time: tap this pitch again, or say it is missed');
    }
  };
  useKeys({
    Space: tap,
    m: () => {
      keep(null);
    },
  });
  return (
    <>
      <button
        type="button"
        className="together-face"
        onPointerDown={(down) => {
          if (down.isPrimary && down.button === 0) tap(down.nativeEvent.timeStamp);
        }}
      >
        <span className="together-event">
          Pitch <strong className="figure">{event}</strong>
        </span>
        <span role="status">{words || `Tap at the ${from}, then at the ${to}`}</span>
      </button>
      <div className="drill-buttons">
        <Button
          variant="outline-primary"
          onClick={() => {
            keep(null);
          }}
        >
          Missed it <kbd>M</kbd>
        </Button>
        <span className={others > event ? 'together-behind' : 'quiet'}>
          {others === 0
            ? 'Waiting for the others to open this page.'
            : others > event
              ? `The others have pitch ${String(others)} already: say missed until you are with them.`
              : `The others are at pitch ${String(others)}. Count the pitches aloud.`}
        </span>
      </div>
    </>
  );
}

function TogetherSpreads({ result }: { result: TogetherResult }) {
  const { people, shared } = result;
  return (
    <section className="card-box drill-results">
      <h2>Each one&rsquo;s spread</h2>
      {people.length === 0 && <p className="quiet">Nothing timed in this round yet.</p>}
      {people.map(({ accountId, name, timed, spread }) => (
        <p key={accountId}>
          <strong>{name}</strong>{' '}
          {spread ? (
            <>
              {giveOrTake(spread.sdSeconds)}, reads{' '}
              {Math.abs(spread.laterSeconds).toFixed(2).replace(/^0/, '')}{' '}
              {spread.laterSeconds < 0 ? 'shorter' : 'longer'} than the others
            </>
          ) : (
            <span className="quiet">{timed} timed</span>
          )}
        </p>
      ))}
      <p className="quiet">
        {shared} timed by all.{' '}
        {shared < TOGETHER_LEAST
          ? `Under ${String(TOGETHER_LEAST)} this says little.`
          : shared < TOGETHER_ENOUGH
            ? `It gets better up to ${String(TOGETHER_ENOUGH)}.`
            : 'That is enough.'}{' '}
        {people.length === 2 &&
          'Of two people only what they differ by is known, so both are given half; a third tells them apart.'}
      </p>
    </section>
  );
}
