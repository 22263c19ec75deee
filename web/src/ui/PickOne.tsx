import { useId } from 'react';
import Form from 'react-bootstrap/Form';
import './PickOne.scss';

/** One of a few words, with its label beside it. */
export function PickOne({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly { value: string; text: string }[];
  value: string;
  onChange: (value: string) => void;
}) {
  const id = useId();
  return (
    <div className="pick-one">
      <label htmlFor={id}>{label}</label>
      <Form.Select
        id={id}
        value={value}
        onChange={({ target }) => {
          onChange(target.value);
        }}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.text}
          </option>
        ))}
      </Form.Select>
    </div>
  );
}
