import { PickOne } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import type { OddsInView } from './useOdds.ts';

/** Who of ours is up, in the order in which they bat. */
export function UpSelect({
  label,
  view: { order, situation, set },
}: {
  label: string;
  view: Pick<OddsInView, 'order' | 'situation' | 'set'>;
}) {
  return (
    <PickOne
      label={label}
      value={String(situation.spot % order.length)}
      options={order.map(({ person }, index) => ({
        value: String(index),
        text: `${String(index + 1)}. ${personLabel(person)}`,
      }))}
      onChange={(spot) => {
        set({ spot: Number(spot) });
      }}
    />
  );
}
