import type { Stakes } from '@bradyon/core/leads';
import { distance, percent } from '../../ui/index.ts';
import { behindNow } from './behind.ts';
import type { Hold } from './useHold.ts';

/** From how far off on a throw to first behind the runner pays. */
export function ThrowBehind({ hold, stakes }: { hold: Hold; stakes: Stakes }) {
  const { chance, pays, paysFromFeet, feet, seen } = behindNow(hold, stakes);
  return (
    <>
      <h2>Throw behind</h2>
      <p className="hold-big">
        {pays ? 'Throw' : 'Not worth it'}: out {percent(chance)} of the time.
      </p>
      <p>
        {distance(feet)} off at the mitt,{' '}
        {seen ? `${String(seen.looks)} seen` : 'usual for the level'}. It pays when they are more
        than {distance(paysFromFeet)} off. Somebody has to be at the bag: the second baseman, if
        first plays in.
      </p>
    </>
  );
}
