import type { Drill, DrillAnswer, DrillRep } from '@bradyon/contract/signs';
import type { SharedReplay } from '@bradyon/contract/review';
import type { Rep } from '@bradyon/core/drills';
import { LEVELS } from '@bradyon/core/timing';
import type { RepId, SignAnswerId } from '@bradyon/core/units';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useLocation, useNavigate } from 'react-router';
import { newId, RefusedError, request } from '../../api/index.ts';
import { FormField, FrontPage, notify, useTitle } from '../../ui/index.ts';
import { PlayerReads, SendRound } from '../drills/index.ts';
import { ReplayRound } from '../review/index.ts';
import { DrillRunner, type Answered } from './DrillRunner.tsx';
import './Signs.scss';

/** A player's own phone: signs, and plays at third base, by the code from the coach, and nothing else. */
export function DrillPage() {
  useTitle('Drills');
  const [typed, setTyped] = useState('');
  const [round, setRound] = useState(0);
  const [isDone, setDone] = useState(false);
  const code = useRef('');
  const unsent = useRef<DrillAnswer[]>([]);
  const unsentReps = useRef<DrillRep[]>([]);
  const [what, setWhat] = useState<'signs' | 'sends' | 'reads' | 'replay'>('signs');
  /** The plays of a round. */
  const [seed, setSeed] = useState(0);
  const open = useMutation({
    mutationFn: (asked: string) => request<Drill>('POST', '/api/drills', { code: asked }),
    onSuccess: (_, asked) => {
      code.current = asked;
      setDone(false);
      setRound(round + 1);
    },
  });
  const send = useMutation({
    scope: { id: 'drill answers' },
    retry: 3,
    mutationFn: async () => {
      const answers = [...unsent.current];
      if (answers.length > 0) {
        await request('POST', '/api/drills/answers', { code: code.current, answers });
        unsent.current = unsent.current.filter((answer) => !answers.includes(answer));
      }
      const rows = [...unsentReps.current];
      if (rows.length > 0) {
        await request('POST', '/api/drills/reps', { code: code.current, rows });
        unsentReps.current = unsentReps.current.filter((row) => !rows.includes(row));
      }
    },
  });
  const { mutate } = open;
  const { hash } = useLocation();
  const navigate = useNavigate();
  useEffect(() => {
    // Behind the #: it is in no log of any server, and not left in the address.
    const scanned = hash.slice(1);
    if (scanned === '') return;
    void navigate('/drill', { replace: true });
    mutate(scanned);
  }, [hash, navigate, mutate]);
  const answer = ({ item, answered, seconds }: Answered): void => {
    const id = newId<SignAnswerId>();
    const takenAt = new Date().toISOString();
    unsent.current.push({ id, meant: item.means, answered, seconds, takenAt });
    send.mutate();
  };
  const keep = (rep: Rep): void => {
    const takenAt = new Date().toISOString();
    unsentReps.current.push({ id: newId<RepId>(), undoes: null, takenAt, rep });
    send.mutate();
  };
  const plays = (): void => {
    setDone(false);
    setWhat('sends');
    setSeed(Number.parseInt(newId().slice(0, 7), 16));
  };
  const reads = (): void => {
    setDone(false);
    setWhat('reads');
  };
  const replay = useMutation({
    mutationFn: () =>
      request<{ replay: SharedReplay | null }>('POST', '/api/drills/replay', {
        code: code.current,
      }),
    onError: ({ message }) => {
      notify(message);
    },
    onSuccess: ({ replay: shared }) => {
      if (!shared) {
        notify('Your coach has shared no game yet.');
        return;
      }
      setDone(false);
      setWhat('replay');
    },
  });
  const decideAgain = (
    <Button
      variant="outline-primary"
      disabled={replay.isPending}
      onClick={() => {
        replay.mutate();
      }}
    >
      Decide a game again
    </Button>
  );
  const failure = open.error;
  const wrong =
    failure instanceof RefusedError
      ? (failure.problem.errors[0]?.message ?? failure.message)
      : failure?.message;
  const drill = open.data;
  if (drill && !isDone && what === 'sends') {
    return (
      <main className="drill-page">
        <h1>{drill.player}</h1>
        <p className="quiet">Send or hold for {drill.team}. Decide before the last stop.</p>
        <SendRound
          key={seed}
          level={drill.level}
          seed={seed}
          setting={{ onFirst: false, asksGuess: false }}
          onAnswer={(answered) => {
            keep({ drill: 'send', session: String(seed), ...answered, coach: null });
          }}
          onEnd={() => {
            setDone(true);
          }}
        />
      </main>
    );
  }
  if (drill && !isDone && what === 'reads') {
    return (
      <main className="drill-page">
        <h1>{drill.player}</h1>
        <p className="quiet">Read the pitcher for {drill.team}. Answer as soon as you know.</p>
        <PlayerReads
          first={LEVELS[drill.level].sport === 'softball' ? 'dirt' : 'sinkPivotR'}
          onAnswer={keep}
        />
        <Button
          variant="outline-primary"
          onClick={() => {
            setDone(true);
          }}
        >
          Done
        </Button>
      </main>
    );
  }
  if (drill && !isDone && what === 'replay' && replay.data?.replay) {
    const { title, spots } = replay.data.replay;
    return (
      <main className="drill-page">
        <h1>{drill.player}</h1>
        <p className="quiet">{title}. Go or stay, by what was known then.</p>
        <ReplayRound spots={spots} isScored onEnd={() => undefined} />
        <Button
          variant="outline-primary"
          onClick={() => {
            setDone(true);
          }}
        >
          Done
        </Button>
      </main>
    );
  }
  if (drill && !isDone) {
    return (
      <main className="drill-page">
        <h1>{drill.player}</h1>
        <p className="quiet">Drills of {drill.team}</p>
        {drill.items.length === 0 ? (
          <p>There are no signs to drill yet.</p>
        ) : (
          <DrillRunner
            key={round}
            items={drill.items}
            plays={drill.plays}
            who={() => ''}
            onAnswer={answer}
            onDone={() => {
              setDone(true);
            }}
          />
        )}
        <Button variant="outline-primary" onClick={plays}>
          Send or hold instead
        </Button>
        <Button variant="outline-primary" onClick={reads}>
          Read the pitcher instead
        </Button>
        {decideAgain}
      </main>
    );
  }
  if (drill) {
    return (
      <FrontPage title="Round done">
        <p role="status">
          {send.isPending || send.isError
            ? 'Sending your answers...'
            : 'Your coach can see how it went.'}
        </p>
        {send.error && (
          <Button
            variant="outline-primary"
            onClick={() => {
              send.mutate();
            }}
          >
            Send again
          </Button>
        )}
        <Button
          disabled={open.isPending}
          onClick={() => {
            setWhat('signs');
            mutate(code.current);
          }}
        >
          {what === 'signs' ? 'Another round' : 'Signs'}
        </Button>
        <Button variant="outline-primary" onClick={plays}>
          {what === 'sends' ? 'Ten more plays' : 'Send or hold'}
        </Button>
        <Button variant="outline-primary" onClick={reads}>
          {what === 'reads' ? 'More reads' : 'Read the pitcher'}
        </Button>
        {decideAgain}
      </FrontPage>
    );
  }
  return (
    <FrontPage title="Drills">
      <Form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          mutate(typed);
        }}
      >
        <FormField label="Code from your coach" error={wrong}>
          {(field) => (
            <Form.Control
              {...field}
              value={typed}
              placeholder="K7QD-93XM"
              autoCapitalize="characters"
              autoComplete="off"
              onChange={({ target }) => {
                setTyped(target.value);
              }}
            />
          )}
        </FormField>
        <Button type="submit" disabled={open.isPending}>
          Start
        </Button>
      </Form>
    </FrontPage>
  );
}
