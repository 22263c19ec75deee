import { USUAL_NEEDED_CHANCE } from '@bradyon/core/steals';
import { percent, Stepper } from '../../ui/index.ts';
import type { StealInView } from './useSteal.ts';

/** How often a steal has to work here, one tap up or down. */
export function NeededChance({
  steal: { needed, setNeeded, mayChange },
}: {
  steal: Pick<StealInView, 'needed' | 'setNeeded' | 'mayChange'>;
}) {
  return (
    <Stepper
      label="Chance he needs"
      note={needed === USUAL_NEEDED_CHANCE ? 'the common rule' : 'your own rule'}
      value={needed}
      step={0.02}
      min={0.5}
      max={0.98}
      text={percent}
      disabled={!mayChange}
      onChange={setNeeded}
    />
  );
}
