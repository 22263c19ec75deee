import Button from 'react-bootstrap/Button';
import { stepped } from './stepped.ts';
import './Stepper.scss';

/** A figure that goes up and down by a step, one tap each. */
export function Stepper({
  label,
  value,
  step,
  min,
  max,
  text,
  note,
  disabled = false,
  onChange,
}: {
  label: string;
  value: number;
  step: number;
  min: number;
  max: number;
  /** The figure with its unit. */
  text: (value: number) => string;
  note?: string | undefined;
  disabled?: boolean;
  onChange: (value: number) => void;
}) {
  const change = (by: number): void => {
    onChange(stepped(value, by, { min, max }));
  };
  return (
    <div className="stepper" role="group" aria-label={label}>
      <span className="stepper-label">
        {label}
        {note && <small>{note}</small>}
      </span>
      <Button
        variant="outline-primary"
        aria-label={`${label}: less`}
        disabled={disabled || value <= min}
        onClick={() => {
          change(-step);
        }}
      >
        −
      </Button>
      <output className="figure">{text(value)}</output>
      <Button
        variant="outline-primary"
        aria-label={`${label}: more`}
        disabled={disabled || value >= max}
        onClick={() => {
          change(step);
        }}
      >
        +
      </Button>
    </div>
  );
}
