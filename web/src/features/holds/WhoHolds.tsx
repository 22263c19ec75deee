import type { OpponentId } from '@bradyon/core/units';
import { PickOne } from '../../ui/index.ts';
import { PersonSelect } from '../people/index.ts';
import { useHoldPicked, type Hold } from './useHold.ts';

/** Our battery, and whose runner. @param withRunner one of them, or all */
export function WhoHolds({ hold, withRunner = true }: { hold: Hold; withRunner?: boolean }) {
  const { names, pitchers, catchers, opponents, opponent, runners } = hold;
  const chosen = <P extends { id: string }>(all: readonly P[], id: string): P | null =>
    all.find((each) => each.id === id) ?? null;
  return (
    <div className="control-row hold-who no-print">
      <PersonSelect
        label="Our pitcher"
        people={pitchers}
        position={{ position: 'P', players: 'Pitchers' }}
        value={chosen(pitchers, names.pitcher.id)}
        onChange={(pitcherId) => {
          useHoldPicked.setState({ pitcherId });
        }}
      />
      <PersonSelect
        label="Our catcher"
        people={catchers}
        position={{ position: 'C', players: 'Catchers' }}
        value={chosen(catchers, names.catcher.id)}
        onChange={(catcherId) => {
          useHoldPicked.setState({ catcherId });
        }}
      />
      {opponent && (
        <PickOne
          label="Opponent"
          value={opponent.id}
          options={opponents.map(({ id, name }) => ({ value: id, text: name }))}
          onChange={(id) => {
            useHoldPicked.setState({ opponentId: id as OpponentId, runnerId: null });
          }}
        />
      )}
      {withRunner && (
        <PersonSelect
          label="Their runner"
          people={runners}
          value={chosen(runners, names.runner.id)}
          onChange={(runnerId) => {
            useHoldPicked.setState({ runnerId });
          }}
        />
      )}
    </div>
  );
}
