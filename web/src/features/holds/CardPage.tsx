import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import {
  Choice,
  Empty,
  Failure,
  Loading,
  percent,
  seconds,
  Sheet,
  useTitle,
} from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { drawHolds } from './draw.ts';
import './Holds.scss';
import { HoldTabs } from './HoldTabs.tsx';
import { useHold, type Hold } from './useHold.ts';
import { usePlan } from './usePlan.ts';
import { WhoHolds } from './WhoHolds.tsx';
import { END_TEXT, TAKES_TEXT } from './words.ts';

/** What the catcher wears and what a pitcher is told before the game. */
export function CardPage() {
  useTitle('Hold card');
  const hold = useHold();
  const [what, setWhat] = useState<'card' | 'sheet'>('card');
  if (hold.error) return <Failure error={hold.error} retry={hold.retry} />;
  if (hold.isLoading) return <Loading what="your times" />;
  return (
    <>
      <div className="page-head no-print">
        <h1>Hold card</h1>
        <HoldTabs />
      </div>
      <WhoHolds hold={hold} />
      {hold.question ? (
        <>
          <div className="control-row no-print">
            <Choice
              label="Sheet"
              value={what}
              options={[
                { value: 'card', text: isOpenTo(hold) ? 'Fifty holds' : 'Fifty pitches' },
                { value: 'sheet', text: 'Who may run' },
              ]}
              onChange={setWhat}
            />
          </div>
          {what === 'card' ? <HoldCard hold={hold} /> : <PitcherSheet hold={hold} />}
        </>
      ) : (
        <Empty title="Your rules do not allow stealing, so there is nothing to hold." />
      )}
    </>
  );
}

const FIFTY = 50;
const ROWS = 25;

const isOpenTo = ({ team }: Hold): boolean => team.ruleset.leadRule === 'open';

function HoldCard({ hold }: { hold: Hold }) {
  const found = hold.holdingOf(hold.names);
  return found && <Fifty hold={hold} found={found} />;
}

function Fifty({ hold, found }: { hold: Hold; found: NonNullable<ReturnType<Hold['holdingOf']>> }) {
  const plan = usePlan(hold, found);
  const isOpen = isOpenTo(hold);
  const draw = () => drawHolds(FIFTY, plan, hold.team.ruleset);
  const [holds, setHolds] = useState(draw);
  return (
    <>
      <div className="control-row no-print">
        <Button
          variant="outline-primary"
          onClick={() => {
            setHolds(draw());
          }}
        >
          Draw a new card
        </Button>
      </div>
      <Sheet title="Hold card">
        {() => (
          <>
            <h2>Hold card: {personLabel(hold.names.pitcher)}</h2>
            <p>
              A new card each game. Call the number; count from{' '}
              {isOpen ? 'set' : 'the hands together'}.
            </p>
            <div className="hold-columns">
              {[holds.slice(0, ROWS), holds.slice(ROWS)].map((column, half) => (
                <table key={half}>
                  <thead>
                    <tr>
                      <th scope="col">No.</th>
                      <th scope="col">{isOpen ? 'Hold' : 'Pause'}</th>
                      {isOpen && <th scope="col">Looks</th>}
                      <th scope="col">Then</th>
                    </tr>
                  </thead>
                  <tbody>
                    {column.map(({ seconds: held, ends, looks }, nth) => (
                      <tr key={nth}>
                        <th scope="row">{half * ROWS + nth + 1}</th>
                        <td className="figure">{held.toFixed(1)}</td>
                        {isOpen && <td>{looks}</td>}
                        <td>{END_TEXT[ends]}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              ))}
            </div>
          </>
        )}
      </Sheet>
    </>
  );
}

function PitcherSheet({ hold }: { hold: Hold }) {
  const { names, runners, opponent } = hold;
  const isOpen = isOpenTo(hold);
  if (runners.length === 0) return <Empty title="No runners of theirs yet." />;
  return (
    <Sheet title="Who may run">
      {() => (
        <>
          <h2>
            Who may run on {personLabel(names.pitcher)}: {opponent?.name}
          </h2>
          <table>
            <thead>
              <tr>
                <th scope="col">Runner</th>
                <th scope="col">Safe</th>
                {isOpen && <th scope="col">Slide step</th>}
                <th scope="col">Deliver in</th>
                <th scope="col">It takes</th>
              </tr>
            </thead>
            <tbody>
              {runners.map((runner) => {
                const found = hold.holdingOf({ ...names, runner });
                if (!found) return null;
                const { legLift, slideStep, deliverSeconds, takes } = found;
                return (
                  <tr key={runner.id}>
                    <th scope="row">{personLabel(runner)}</th>
                    <td className="figure">{percent(legLift.chance)}</td>
                    {isOpen && (
                      <td className="figure">{slideStep ? percent(slideStep.chance) : ''}</td>
                    )}
                    <td className="figure">
                      {deliverSeconds !== null && deliverSeconds > 0
                        ? seconds(Math.floor(deliverSeconds * 100) / 100)
                        : ''}
                    </td>
                    <td>{TAKES_TEXT[takes]}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <p>
            With {personLabel(names.catcher)} catching. They need {percent(hold.judging.needed)}.
          </p>
        </>
      )}
    </Sheet>
  );
}
