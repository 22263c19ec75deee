import type { Holding } from '@bradyon/core/holds';
import type { Person } from '@bradyon/core/people';
import { useNavigate } from 'react-router';
import { Empty, Failure, Loading, percent, useTitle } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import './Holds.scss';
import { HoldTabs } from './HoldTabs.tsx';
import { useHold, useHoldPicked, type Hold } from './useHold.ts';
import { WhoHolds } from './WhoHolds.tsx';
import { TAKES_TEXT } from './words.ts';

/** Our pitchers against all their runners: who may go on whom. */
export function BoardPage() {
  useTitle('Hold board');
  const hold = useHold();
  if (hold.error) return <Failure error={hold.error} retry={hold.retry} />;
  if (hold.isLoading) return <Loading what="your times" />;
  return (
    <>
      <div className="page-head">
        <h1>Hold board</h1>
        <HoldTabs />
      </div>
      <WhoHolds hold={hold} withRunner={false} />
      {hold.runners.length === 0 || hold.question === null ? (
        <Empty title="No runners of theirs yet.">
          <p>Add the opponent’s players under Team, or name them in a game.</p>
        </Empty>
      ) : (
        <Board hold={hold} />
      )}
    </>
  );
}

/** Who pitches for us. */
function ourPitchers({ pitchers }: Hold): Person[] {
  const own = pitchers.filter(({ positions }) => positions.includes('P'));
  return own.length > 0 ? own : pitchers.slice(0, 1);
}

function Board({ hold }: { hold: Hold }) {
  const { team, names, runners } = hold;
  const navigate = useNavigate();
  const pitchers = ourPitchers(hold);
  return (
    <div className="hold-scroll" tabIndex={0} role="region" aria-label="Board">
      <table className="hold-board card-box">
        <thead>
          <tr>
            <th scope="col">Their runner</th>
            {pitchers.map((pitcher) => (
              <th key={pitcher.id} scope="col">
                {personLabel(pitcher)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {runners.map((runner) => (
            <tr key={runner.id}>
              <th scope="row">{personLabel(runner)}</th>
              {pitchers.map((pitcher) => {
                const found = hold.holdingOf({ ...names, pitcher, runner });
                return (
                  <td key={pitcher.id}>
                    {found && (
                      <button
                        type="button"
                        className={`hold-cell hold-${found.takes}`}
                        onClick={() => {
                          useHoldPicked.setState({ pitcherId: pitcher.id, runnerId: runner.id });
                          void navigate(`/teams/${team.id}/hold`);
                        }}
                      >
                        <Cell found={found} />
                      </button>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">
        How often they are safe, and what it takes that they stay. Who was never timed is typical.
      </p>
    </div>
  );
}

function Cell({ found: { legLift, takes } }: { found: Holding }) {
  return (
    <>
      <span className="figure">{percent(legLift.chance)}</span>
      <small>
        {TAKES_TEXT[takes]}
        {legLift.missing.length > 0 && ', not timed'}
      </small>
    </>
  );
}
