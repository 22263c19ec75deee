import { useState } from 'react';
import Form from 'react-bootstrap/Form';

/**
 * Text that is saved when it is left. What is being typed stays whatever comes from elsewhere meanwhile.
 * @param missing what to say where it may not be empty
 */
export function Draft({
  id,
  label,
  value,
  most,
  rows,
  missing,
  onSave,
}: {
  id: string;
  label: string;
  value: string;
  most: number;
  rows?: number;
  missing?: string;
  onSave: (value: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const problem = typed?.trim() === '' ? (missing ?? '') : '';
  return (
    <Form.Group controlId={id}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        {...(rows === undefined ? {} : { as: 'textarea', rows })}
        value={typed ?? value}
        maxLength={most}
        isInvalid={problem !== ''}
        onChange={({ target }) => {
          setTyped(target.value);
        }}
        onBlur={() => {
          if (typed === null || problem !== '') return;
          if (typed.trim() !== value) onSave(typed.trim());
          setTyped(null);
        }}
      />
      <Form.Control.Feedback type="invalid">{problem}</Form.Control.Feedback>
    </Form.Group>
  );
}
