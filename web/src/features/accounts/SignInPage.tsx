import type { Account, SignIn } from '@bradyon/contract/accounts';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { request, useContractForm } from '../../api/index.ts';
import { FormEnd, FrontPage, useTitle } from '../../ui/index.ts';
import { EmailField, PasswordField } from './fields.tsx';
import { rememberAccount, useWelcome } from './useAccount.ts';

export function SignInPage() {
  useTitle('Sign in');
  const enter = useEnter();
  const welcome = useWelcome();
  const { form, errorOf, failure, submit, submitting } = useContractForm<SignIn, SignIn>({
    initial: { email: '', password: '' },
    contract: async () => (await import('@bradyon/contract/accounts')).signInContract,
    toSend: (values) => values,
    send: async (signIn) => enter(await request<Account>('POST', '/api/accounts/session', signIn)),
  });
  return (
    <FrontPage title="Sign in">
      {welcome?.demo && <DemoDoor onOpen={enter} />}
      <Form noValidate className="front-form" onSubmit={(event) => void submit(event)}>
        <EmailField error={errorOf('email')} registered={form.register('email')} />
        <PasswordField error={errorOf('password')} registered={form.register('password')} />
        <FormEnd failure={failure} submitting={submitting}>
          Sign in
        </FormEnd>
      </Form>
      <p>
        New here? <Link to="/sign-up">Create an account</Link>
      </p>
      <p>
        <Link to="/reset">Forgot your password?</Link>
      </p>
    </FrontPage>
  );
}

/** One click into the demo; only offered where it is loaded. */
function DemoDoor({ onOpen }: { onOpen: (account: Account) => Promise<void> }) {
  const [failure, setFailure] = useState<string | null>(null);
  const open = async (): Promise<void> => {
    try {
      await onOpen(await request<Account>('POST', '/api/accounts/demo-session'));
    } catch (error) {
      setFailure(error instanceof Error ? error.message : null);
    }
  };
  return (
    <>
      <Button variant="outline-primary" onClick={() => void open()}>
        Try the demo
      </Button>
      {failure && (
        <p className="form-failure" role="alert">
          {failure}
        </p>
      )}
      <p className="front-or">or use your own account</p>
    </>
  );
}

/** Goes where the coach was headed before he had to sign in. */
export function useEnter(): (account: Account) => Promise<void> {
  const navigate = useNavigate();
  const next = useSearchParams()[0].get('next') ?? '/';
  return async (account) => {
    await rememberAccount(account);
    // Only our own pages: an address that begins with two slashes is another site's.
    await navigate(/^\/(?!\/)/.test(next) ? next : '/', { replace: true });
  };
}
