import type { Drill, DrillAnswer } from '@bradyon/contract/signs';
import type { SignAnswerId } from '@bradyon/core/units';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useLocation, useNavigate } from 'react-router';
import { newId, RefusedError, request } from '../../api/index.ts';
import { FormField, FrontPage, useTitle } from '../../ui/index.ts';
import { DrillRunner, type Answered } from './DrillRunner.tsx';
import './Signs.scss';

/** A player's own phone: a round of signs by the code from the coach, and nothing else. */
export function DrillPage() {
  useTitle('Sign drill');
  const [typed, setTyped] = useState('');
  const [round, setRound] = useState(0);
  const [isDone, setDone] = useState(false);
  const code = useRef('');
  const unsent = useRef<DrillAnswer[]>([]);
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
      if (answers.length === 0) return;
      await request('POST', '/api/drills/answers', { code: code.current, answers });
      unsent.current = unsent.current.filter((answer) => !answers.includes(answer));
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
  const failure = open.error;
  const wrong =
    failure instanceof RefusedError
      ? (failure.problem.errors[0]?.message ?? failure.message)
      : failure?.message;
  const drill = open.data;
  if (drill && !isDone) {
    return (
      <main className="drill-page">
        <h1>{drill.player}</h1>
        <p className="quiet">Signs of {drill.team}</p>
        {drill.items.length === 0 ? (
          <p>These signs cannot be drilled yet. Tell your coach.</p>
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
            mutate(code.current);
          }}
        >
          Another round
        </Button>
      </FrontPage>
    );
  }
  return (
    <FrontPage title="Sign drill">
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
