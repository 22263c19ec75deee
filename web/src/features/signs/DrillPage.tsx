import type { Drill, DrillAnswer, DrillRep } from '@bradyon/contract/signs';
import type { RepId, SignAnswerId } from '@bradyon/core/units';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useLocation, useNavigate } from 'react-router';
import { newId, RefusedError, request } from '../../api/index.ts';
import { FormField, FrontPage, useTitle } from '../../ui/index.ts';
import { SendRound } from '../drills/index.ts';
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
  /** The plays of a round; null: signs. */
  const [seed, setSeed] = useState<number | null>(null);
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
  const plays = (): void => {
    setDone(false);
    setSeed(Number.parseInt(newId().slice(0, 7), 16));
  };
  const failure = open.error;
  const wrong =
    failure instanceof RefusedError
      ? (failure.problem.errors[0]?.message ?? failure.message)
      : failure?.message;
  const drill = open.data;
  if (drill && !isDone && seed !== null) {
    return (
      <main className="drill-page">
        <h1>{drill.player}</h1>
        <p className="quiet">Send or hold for {drill.team}. Decide before the last stop.</p>
        <SendRound
          key={seed}
          level={drill.level}
          seed={seed}
          onAnswer={(answered) => {
            unsentReps.current.push({
              id: newId<RepId>(),
              undoes: null,
              takenAt: new Date().toISOString(),
              rep: { drill: 'send', session: String(seed), ...answered, coach: null },
            });
            send.mutate();
          }}
          onEnd={() => {
            setDone(true);
          }}
        />
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
            setSeed(null);
            mutate(code.current);
          }}
        >
          {seed === null ? 'Another round' : 'Signs'}
        </Button>
        <Button variant="outline-primary" onClick={plays}>
          {seed === null ? 'Send or hold' : 'Ten more plays'}
        </Button>
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
