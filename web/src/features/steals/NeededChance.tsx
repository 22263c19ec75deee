import { USUAL_NEEDED_CHANCE } from '@bradyon/core/steals';
import { Link } from 'react-router';
import { Choice, percent, Stepper } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import type { StealInView } from './useSteal.ts';

/** How often a steal has to work: the team's own rule, or what an out and a base are worth here. */
export function NeededChance({
  steal: { here, rule, setNeeded, mayChange },
}: {
  steal: Pick<StealInView, 'here' | 'rule' | 'setNeeded' | 'mayChange'>;
}) {
  const { id } = useTeam();
  return (
    <div className="steal-needed">
      <Choice
        label="Needs"
        value={here.from}
        options={[
          { value: 'rule', text: 'Your rule' },
          { value: 'situation', text: 'Situation' },
        ]}
        onChange={here.setFrom}
      />
      {here.from === 'rule' ? (
        <Stepper
          label="Chance a steal needs"
          note={rule === USUAL_NEEDED_CHANCE ? 'the common rule' : 'your own rule'}
          value={rule}
          step={0.02}
          min={0.5}
          max={0.98}
          text={percent}
          disabled={!mayChange}
          onChange={setNeeded}
        />
      ) : (
        <p className="quiet">
          {percent(here.needed)}, give or take 3: {here.words}.{' '}
          {here.isTie && <strong>Little is at stake. Too close to call. </strong>}
          <Link to={`/teams/${id}/innings`}>Change</Link>
        </p>
      )}
    </div>
  );
}
