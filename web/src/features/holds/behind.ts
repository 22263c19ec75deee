import { throwBehind, type BehindJudged } from '@bradyon/core/holds';
import type { KnownLead, Stakes } from '@bradyon/core/leads';
import { expectedTime } from '@bradyon/core/sprint';
import { plainContext } from '@bradyon/core/timing';
import type { Hold } from './useHold.ts';

/** The catcher's throw to first behind a runner who went off with the pitch, and what it rests on. */
export interface BehindNow extends BehindJudged {
  feet: number;
  /** null: nobody noted how far off; the level's stands in. */
  seen: KnownLead | null;
}

export function behindNow(
  { leads, names }: Pick<Hold, 'leads' | 'names'>,
  stakes: Stakes,
): BehindNow {
  const { field, of } = leads.times;
  const popTo = { ...plainContext('pop'), base: 'second' as const };
  const usual = expectedTime(names.catcher, [], popTo, field);
  const own = expectedTime(names.catcher, of(names.catcher), popTo, field);
  const seen = leads.looks.known(names.runner, 'first');
  const feet = seen?.feet ?? leads.looks.usualFeet('first');
  const judged = throwBehind(
    {
      level: field.level,
      feet,
      catcherLaterSeconds: own && usual ? own.meanSeconds - usual.meanSeconds : 0,
      own: leads.returnOf(names.runner),
    },
    stakes,
  );
  return { ...judged, feet, seen };
}
