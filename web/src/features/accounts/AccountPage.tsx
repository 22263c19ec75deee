import type { Confirmation, PasswordChange } from '@bradyon/contract/accounts';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { request, useContractForm } from '../../api/index.ts';
import {
  Choice,
  FormDialog,
  FormEnd,
  FrontPage,
  notify,
  showDistancesIn,
  useDistanceUnit,
  useTitle,
} from '../../ui/index.ts';
import { NewPasswordField, PasswordField } from './fields.tsx';
import { forgetDevice, useAccount } from './useAccount.ts';

/** A coach's own account: the password, the other devices, and its end. */
export function AccountPage() {
  useTitle('Account');
  const { account } = useAccount();
  const [isDeleting, setIsDeleting] = useState(false);
  const unit = useDistanceUnit();
  const everywhere = async (): Promise<void> => {
    try {
      await request('DELETE', '/api/accounts/sessions');
      await forgetDevice();
      location.assign('/sign-in');
    } catch (error) {
      notify(error instanceof Error ? error.message : 'You are still signed in. Try again.');
    }
  };
  return (
    <FrontPage title="Account">
      <p>
        {account?.name}, {account?.email}
      </p>
      <Choice
        label="Distances on this device"
        showLabel
        value={unit}
        options={[
          { value: 'ft', text: 'Feet' },
          { value: 'm', text: 'Meters' },
        ]}
        onChange={showDistancesIn}
      />
      <hr />
      <ChangePassword />
      <hr />
      <Button variant="outline-primary" onClick={() => void everywhere()}>
        Sign out on every device
      </Button>
      <Button
        variant="outline-primary"
        onClick={() => {
          setIsDeleting(true);
        }}
      >
        Delete account
      </Button>
      <p>
        <Link to="/">Back to your team</Link>
      </p>
      {isDeleting && (
        <DeleteAccount
          onClose={() => {
            setIsDeleting(false);
          }}
        />
      )}
    </FrontPage>
  );
}

function ChangePassword() {
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    PasswordChange,
    PasswordChange
  >({
    initial: { current: '', password: '' },
    contract: async () => (await import('@bradyon/contract/accounts')).passwordChangeContract,
    toSend: (values) => values,
    send: async (change) => {
      await request('PUT', '/api/accounts/password', change);
      form.reset();
      notify('Password changed. Other devices are signed out');
    },
  });
  return (
    <Form noValidate className="front-form" onSubmit={(event) => void submit(event)}>
      <PasswordField
        label="Current password"
        error={errorOf('current')}
        registered={form.register('current')}
      />
      <NewPasswordField error={errorOf('password')} registered={form.register('password')} />
      <FormEnd failure={failure} submitting={submitting}>
        Change password
      </FormEnd>
    </Form>
  );
}

function DeleteAccount({ onClose }: { onClose: () => void }) {
  const { form, errorOf, failure, submit, submitting } = useContractForm<
    Confirmation,
    Confirmation
  >({
    initial: { password: '' },
    contract: async () => (await import('@bradyon/contract/accounts')).confirmationContract,
    toSend: (values) => values,
    send: async (confirmation) => {
      await request('DELETE', '/api/accounts/me', confirmation);
      await forgetDevice();
      location.assign('/sign-in');
    },
  });
  return (
    <FormDialog
      title="Delete your account?"
      action="Delete account"
      failure={failure}
      submitting={submitting}
      submit={submit}
      onClose={onClose}
    >
      <p>
        This cannot be undone. Your times stay with the team, without your name. If you own a team,
        delete it first.
      </p>
      <PasswordField error={errorOf('password')} registered={form.register('password')} />
    </FormDialog>
  );
}
