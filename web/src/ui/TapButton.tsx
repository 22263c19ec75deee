import type { ComponentProps } from 'react';
import { onTap } from './onTap.ts';
import './TapButton.scss';

/** A button that is timed to the millisecond. */
export function TapButton({
  onTap: tap,
  anyFinger = false,
  ...rest
}: Omit<ComponentProps<'button'>, 'type' | 'onClick' | 'onPointerDown'> & {
  onTap: (atMs: number) => void;
  anyFinger?: boolean;
}) {
  return <button type="button" {...rest} {...onTap(tap, { anyFinger })} />;
}
