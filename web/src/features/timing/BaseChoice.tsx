import { BASES, type Base } from '@bradyon/core/units';
import { Choice } from '../../ui/index.ts';
import { BASE_WORDS } from './words.ts';

/** Which base; its number is its key. */
export function BaseChoice<T extends Base>({
  label,
  bases,
  value,
  onChange,
}: {
  label: string;
  bases: readonly T[];
  value: T;
  onChange: (base: T) => void;
}) {
  return (
    <Choice
      label={label}
      options={bases.map((base) => ({
        value: base,
        text: BASE_WORDS[base],
        hotkey: String(BASES.indexOf(base) + 1),
      }))}
      value={value}
      onChange={onChange}
    />
  );
}
