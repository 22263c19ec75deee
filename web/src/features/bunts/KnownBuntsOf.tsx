import type { ReactNode } from 'react';
import type { KnownByBatter, OddsInView } from '../innings/index.ts';
import { usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useKnownBunts } from './useKnownBunt.ts';

/** Every batter's bunts against the pitcher who is out there, for the page of the best choices. */
export function KnownBuntsOf({
  view: { order },
  children,
}: {
  view: OddsInView;
  children: (known: KnownByBatter) => ReactNode;
}) {
  const { onField } = usePlaying(useTeam().id);
  return children(useKnownBunts(order, onField.pitcher?.throws ?? 'right'));
}
