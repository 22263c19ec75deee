import Form from 'react-bootstrap/Form';
import type { UseFormRegisterReturn } from 'react-hook-form';
import { FormField } from '../../ui/index.ts';

interface Registered {
  error: string | undefined;
  /** As the form has registered it. */
  registered: UseFormRegisterReturn;
}

/** The address that an account goes by. */
export function EmailField({ error, registered }: Registered) {
  return (
    <FormField label="Email" error={error}>
      {(field) => <Form.Control {...field} type="email" autoComplete="username" {...registered} />}
    </FormField>
  );
}

/** The password that there is. */
export function PasswordField({
  label = 'Password',
  error,
  registered,
}: Registered & { label?: string }) {
  return (
    <FormField label={label} error={error}>
      {(field) => (
        <Form.Control {...field} type="password" autoComplete="current-password" {...registered} />
      )}
    </FormField>
  );
}

/** A password to be: a password manager offers to make one. */
export function NewPasswordField({
  label = 'New password',
  error,
  registered,
}: Registered & { label?: string }) {
  return (
    <FormField label={label} error={error} hint="At least 10 characters.">
      {(field) => (
        <Form.Control {...field} type="password" autoComplete="new-password" {...registered} />
      )}
    </FormField>
  );
}
