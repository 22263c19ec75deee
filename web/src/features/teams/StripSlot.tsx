import { createContext, use, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

/** The place in the strip on top where an open game says how it stands. */
export const StripSlotElement = createContext<HTMLElement | null>(null);

/** Puts its children into the strip, as long as it is on the page. */
export function StripSlot({ children }: { children: ReactNode }) {
  const element = use(StripSlotElement);
  return element && createPortal(children, element);
}
