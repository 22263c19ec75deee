import {
  OUTFIELD,
  planSend,
  usualOutfieldSpot,
  type Outfielder,
  type SendQuestion,
} from '@bradyon/core/bases';
import type { Bases } from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import { percent } from '../../ui/index.ts';
import { averageValue } from '../innings/index.ts';
import { useTeam } from '../teams/index.ts';
import { DEGREES, useOutfield } from './useOutfield.ts';

const FIELD_TEXT: Record<Outfielder, string> = { LF: 'left', CF: 'center', RF: 'right' };

/**
 * What a medium single to each field is for the runner on second, against the outfield of this game.
 * @param usual how often one scores at the level, while nothing is known of the people
 */
export function SendNote({
  runner,
  bases,
  outs,
  facing,
  usual,
}: {
  runner: Person | null;
  bases: Bases;
  outs: 0 | 1 | 2;
  facing: string | null;
  usual: number;
}) {
  const team = useTeam();
  const outfield = useOutfield(team, facing, 'timed');
  if (!runner || outfield.isLoading || outfield.error) {
    return (
      <p className="send-note">
        Single: usually {percent(usual)} score from second at your level. Left field is the short
        throw: decide early.
      </p>
    );
  }
  const value = averageValue(team);
  const plans = OUTFIELD.map((fielder) => {
    const question: SendQuestion = {
      send: 'secondToHome',
      bases,
      outs,
      ruleset: team.ruleset,
      figures: outfield.figures,
      degrees: DEGREES[fielder],
      hit: 'medium',
      outfielderAt: usualOutfieldSpot(fielder, outfield.figures, 'straight'),
      approach: 'usual',
      bobbled: null,
      armMph: outfield.armOf(fielder).mph,
      cutoff: true,
      habits: outfield.habitsFor(fielder),
      runner: outfield.gaitOf(runner),
      value,
    };
    const { safe, need } = planSend(question);
    return { fielder, safe, need };
  });
  const [{ need } = { need: 1 }] = plans;
  return (
    <p className="send-note">
      Single, {runner.name} from second:{' '}
      {plans.map(({ fielder, safe }, nth) => (
        <span key={fielder}>
          {nth > 0 && ', '}
          {FIELD_TEXT[fielder]} <strong>{safe >= need ? 'send' : 'hold'}</strong> {percent(safe)}
        </span>
      ))}
      . Needs {percent(need)}.
    </p>
  );
}
