import { useId, type ReactElement, type ReactNode } from 'react';
import Form from 'react-bootstrap/Form';

/** A label, its control, and under it what to enter when what is there does not fit. */
export function FormField({
  label,
  hint,
  error,
  children,
}: {
  label: string;
  hint?: ReactNode;
  error?: string | undefined;
  /** Given the ids that tie the control to its label and to the words under it. */
  children: (ids: { id: string; 'aria-describedby': string; isInvalid: boolean }) => ReactElement;
}) {
  const id = useId();
  const wordsId = `${id}-words`;
  return (
    <Form.Group>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      {children({ id, 'aria-describedby': wordsId, isInvalid: error !== undefined })}
      <div id={wordsId}>
        {error === undefined ? (
          hint && <Form.Text>{hint}</Form.Text>
        ) : (
          <Form.Control.Feedback type="invalid">{error}</Form.Control.Feedback>
        )}
      </div>
    </Form.Group>
  );
}
