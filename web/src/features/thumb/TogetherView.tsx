import { TOGETHER_KINDS, type Together, type TogetherKind } from '@bradyon/contract/thumb';
import { timesFromRelease } from '@bradyon/core/rules';
import { TOGETHER_ENOUGH, TOGETHER_LEAST } from '@bradyon/core/timing';
import { secondsBetween, type TogetherId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { newId, request } from '../../api/index.ts';
import {
  Choice,
  Empty,
  Failure,
  giveOrTake,
  Loading,
  notify,
  hundredths,
  seconds as secondsText,
  TapButton,
  useKeys,
} from '../../ui/index.ts';
import { useAccount } from '../accounts/index.ts';
import { useTeam } from '../teams/index.ts';
import { KIND_WORDS, tick } from '../timing/index.ts';
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
            <p>Start a round here. The others open this page on their own devices to join.</p>
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
    setWords(seconds === null ? `Pitch ${String(event)} missed` : secondsText(seconds));
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
      setWords('That time is not possible. Tap this pitch again or mark it missed');
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
      <TapButton className="together-face" onTap={tap}>
        <span className="together-event">
          Pitch <strong className="figure">{event}</strong>
        </span>
        <span role="status">{words || `Tap at the ${from}, then at the ${to}`}</span>
      </TapButton>
      <div className="drill-buttons">
        <Button
          variant="outline-primary"
          onClick={() => {
            keep(null);
          }}
        >
          Missed <kbd>M</kbd>
        </Button>
        <span className={others > event ? 'together-behind' : 'quiet'}>
          {others === 0
            ? 'Waiting for the others to open this page.'
            : others > event
              ? `The others are on pitch ${String(others)}. Mark pitches missed until you catch up.`
              : `The others are on pitch ${String(others)}. Count the pitches out loud.`}
        </span>
      </div>
    </>
  );
}

function TogetherSpreads({ result }: { result: TogetherResult }) {
  const { people, shared } = result;
  return (
    <section className="card-box drill-results">
      <h2>Each person&rsquo;s spread</h2>
      {people.length === 0 && <p className="quiet">Nothing timed in this round yet.</p>}
      {people.map(({ accountId, name, timed, spread }) => (
        <p key={accountId}>
          <strong>{name}</strong>{' '}
          {spread ? (
            <>
              {giveOrTake(spread.sdSeconds)}, reads {hundredths(Math.abs(spread.laterSeconds))}{' '}
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
          ? `Fewer than ${String(TOGETHER_LEAST)} says little.`
          : shared < TOGETHER_ENOUGH
            ? `Better up to ${String(TOGETHER_ENOUGH)}.`
            : 'That is enough.'}{' '}
        {people.length === 2 &&
          'With two people we only know the difference, so each gets half. A third person tells them apart.'}
      </p>
    </section>
  );
}
