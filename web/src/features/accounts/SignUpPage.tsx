import type { Account, SignUp } from '@bradyon/contract/accounts';
import type { AccountId } from '@bradyon/core/units';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { newId, request, useContractForm } from '../../api/index.ts';
import { FormField, FormEnd, FrontPage, useTitle } from '../../ui/index.ts';
import { EmailField, NewPasswordField } from './fields.tsx';
import { useEnter } from './SignInPage.tsx';

export function SignUpPage() {
  useTitle('Create an account');
  const enter = useEnter();
  const [id] = useState(() => newId<AccountId>());
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    Omit<SignUp, 'id'>,
    SignUp
  >({
    initial: { name: '', email: '', password: '' },
    contract: async () => (await import('@bradyon/contract/accounts')).signUpContract,
    toSend: (values) => ({ id, ...values }),
    send: async (signUp) => enter(await request<Account>('POST', '/api/accounts', signUp)),
  });
  return (
    <FrontPage title="Create an account">
      <Form noValidate className="front-form" onSubmit={(event) => void submit(event)}>
        <FormField
          label="Your name"
          error={errorOf('name')}
          hint="Your staff sees it next to your times."
        >
          {(field) => <Form.Control {...field} autoComplete="name" {...form.register('name')} />}
        </FormField>
        <EmailField error={errorOf('email')} registered={form.register('email')} />
        <NewPasswordField
          label="Password"
          error={errorOf('password')}
          registered={form.register('password')}
        />
        <FormEnd failure={failure} submitting={submitting}>
          Create account
        </FormEnd>
      </Form>
      <p>
        Have an account? <Link to="/sign-in">Sign in</Link>
      </p>
    </FrontPage>
  );
}
