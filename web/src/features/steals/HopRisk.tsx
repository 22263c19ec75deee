import { chancePicked } from '@bradyon/core/leads';
import { inThrows, spreadOfEstimate, useLeads } from '../leads/index.ts';
import type { StealInView } from './useSteal.ts';

/** A hop lead has to survive a throw over while the runner rolls away from the bag. */
export function HopRisk({ steal: { view, kind, base } }: { steal: StealInView }) {
  const leads = useLeads({ whatIf: false });
  if (!view || kind !== 'hop' || base !== 'second') return null;
  const { runner, pitcher } = view.names;
  const move = leads.moveOf(pitcher, 'first');
  if (!move) return null;
  const { leadFeet, speed } = view.steal.legs.start;
  const picked = chancePicked({
    stance: { leadFeet, corner: 'back', mode: 'going', awaySpeed: speed },
    level: leads.times.field.level,
    throwing: spreadOfEstimate(move),
    leftHander: pitcher.throws === 'left',
    own: leads.returnOf(runner),
  });
  return (
    <p className="steal-hop">
      If they throw over during the hop, the runner is {inThrows(picked)}. Only hop when you know
      the rhythm.
    </p>
  );
}
