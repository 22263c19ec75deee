import { useId } from 'react';
import './Choice.scss';

/** A few words of which one holds, each one tap away. Arrow keys move between them, as between radio buttons. */
export function Choice<T extends string>({
  label,
  options,
  value,
  onChange,
  showLabel = false,
}: {
  label: string;
  /** `hotkey`: the key that chooses it, shown where there is a keyboard. */
  options: readonly { value: T; text: string; hotkey?: string }[];
  value: T;
  onChange: (value: T) => void;
  showLabel?: boolean;
}) {
  const name = useId();
  return (
    <fieldset className="choice">
      <legend className={showLabel ? 'choice-label' : 'visually-hidden'}>{label}</legend>
      <div className="choice-row">
        {options.map((option) => (
          <label key={option.value} className="choice-option">
            <input
              type="radio"
              name={name}
              checked={option.value === value}
              onChange={() => {
                onChange(option.value);
              }}
            />
            <span>
              {option.text}
              {option.hotkey && <kbd aria-hidden="true">{option.hotkey}</kbd>}
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
