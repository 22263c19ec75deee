import type { Account, PasswordReset } from '@bradyon/contract/accounts';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { request, useContractForm } from '../../api/index.ts';
import { FormField, FormEnd, FrontPage, useTitle } from '../../ui/index.ts';
import { EmailField, NewPasswordField } from './fields.tsx';
import { useEnter } from './SignInPage.tsx';

/** A new password with a code: there is no mail, the owner of the team hands it over. */
export function ResetPage() {
  useTitle('New password');
  const enter = useEnter();
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    PasswordReset,
    PasswordReset
  >({
    initial: { email: '', code: '', password: '' },
    contract: async () => (await import('@bradyon/contract/accounts')).passwordResetContract,
    toSend: (values) => values,
    send: async (reset) => enter(await request<Account>('POST', '/api/accounts/reset', reset)),
  });
  return (
    <FrontPage title="New password">
      <p>
        Ask your team owner for a code. They make one under Team, Staff. It works once, for one day.
      </p>
      <Form noValidate className="front-form" onSubmit={(event) => void submit(event)}>
        <EmailField error={errorOf('email')} registered={form.register('email')} />
        <FormField label="Code" error={errorOf('code')}>
          {(field) => (
            <Form.Control
              {...field}
              autoComplete="off"
              autoCapitalize="characters"
              placeholder="K7QD-93XM"
              {...form.register('code')}
            />
          )}
        </FormField>
        <NewPasswordField error={errorOf('password')} registered={form.register('password')} />
        <FormEnd failure={failure} submitting={submitting}>
          Save password
        </FormEnd>
      </Form>
      <p>
        <Link to="/sign-in">Back to sign in</Link>
      </p>
    </FrontPage>
  );
}
