import type { Admission } from '@bradyon/contract/games';
import type { AccountId } from '@bradyon/core/units';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useLocation, useNavigate } from 'react-router';
import { newId, RefusedError, request } from '../../api/index.ts';
import { FormField, FrontPage, useTitle } from '../../ui/index.ts';
import { useAccount, useEntered } from '../accounts/index.ts';
import { takePlace } from './places.ts';

/** A phone comes in by the code of one place of one game. */
export function JoinPage() {
  useTitle('Join a game');
  const [code, setCode] = useState('');
  const entered = useEntered();
  const navigate = useNavigate();
  const { account, isLoading } = useAccount();
  const isTaken = account !== null;
  const join = useMutation({
    mutationFn: (typed: string) =>
      request<Admission>('POST', '/api/passes', { code: typed, accountId: newId<AccountId>() }),
    onSuccess: async ({ gameId, place, teamId }) => {
      takePlace(gameId, place);
      await entered(`/teams/${teamId}/games/${gameId}`);
    },
  });
  const { mutate } = join;
  const { hash } = useLocation();
  useEffect(() => {
    // Behind the #: it is in no log of any server, and not left in the address.
    const scanned = hash.slice(1);
    if (scanned === '' || isLoading || isTaken) return;
    void navigate('/join', { replace: true });
    mutate(scanned);
  }, [hash, navigate, mutate, isLoading, isTaken]);
  const failure = join.error;
  const wrong =
    failure instanceof RefusedError
      ? (failure.problem.errors[0]?.message ?? failure.message)
      : failure?.message;
  if (isTaken && !join.isPending && !join.isSuccess) {
    return (
      <FrontPage title="Join a game">
        <p>{account.name} is signed in on this device. Sign out first, then open the code again.</p>
        <Link to="/">Open Bradyon</Link>
      </FrontPage>
    );
  }
  return (
    <FrontPage title="Join a game">
      <Form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          mutate(code);
        }}
      >
        <FormField label="Code from the bench" error={wrong}>
          {(field) => (
            <Form.Control
              {...field}
              value={code}
              placeholder="K7QD-93XM"
              autoCapitalize="characters"
              autoComplete="off"
              onChange={({ target }) => {
                setCode(target.value);
              }}
            />
          )}
        </FormField>
        <Button type="submit" disabled={join.isPending}>
          Join
        </Button>
      </Form>
    </FrontPage>
  );
}
