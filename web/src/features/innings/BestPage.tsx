import { baseOut, PLAY_LEVELS, type Action } from '@bradyon/core/innings';
import { useState } from 'react';
import { Choice, Loading, percent, Sheet, Stepper, useTitle } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './OddsPage.scss';
import { OddsTabs } from './OddsTabs.tsx';
import { useSituation } from './situation.ts';
import { useBest } from './useBest.ts';

const LEADS = [-3, -2, -1, 0, 1, 2];
const ROWS = [0, 1, 2, 4, 3, 5, 6, 7];
const ROW_TEXT = [
  'Nobody on',
  'First',
  'Second',
  'First, second',
  'Third',
  'First, third',
  'Second, third',
  'Loaded',
];
const ACTION_TEXT: Record<Action, string> = {
  swing: '',
  bunt: 'bunt',
  steal2: 'steal 2nd',
  steal3: 'steal 3rd',
  double: 'double',
};

/** The best choice in each state of bases and outs, by inning and score: a card for the bench. */
export function BestPage() {
  useTitle('Best choices');
  const team = useTeam();
  const { situation, set } = useSituation(team.id);
  const { stealSecondSafe, stealThirdSafe } = PLAY_LEVELS[team.level].advance;
  const [second, setSecond] = useState(stealSecondSafe);
  const [third, setThird] = useState(stealThirdSafe);
  const { inning, half } = situation;
  const best = useBest({
    level: team.level,
    ruleset: team.ruleset,
    steals: { second, third, double: third },
    inning,
    half,
    leads: LEADS,
  });
  return (
    <>
      <div className="page-head">
        <h1>Best choices</h1>
        <OddsTabs />
      </div>
      <div className="best-set no-print">
        <Choice
          label="We bat in the"
          value={half}
          options={[
            { value: 'top', text: 'Top' },
            { value: 'bottom', text: 'Bottom' },
          ]}
          onChange={(value) => {
            set({ half: value });
          }}
        />
        <Stepper
          label="Inning"
          value={inning}
          step={1}
          min={1}
          max={team.ruleset.innings}
          text={String}
          onChange={(value) => {
            set({ inning: value });
          }}
        />
        <Stepper
          label="Safe at second"
          value={second}
          step={0.05}
          min={0.3}
          max={0.98}
          text={percent}
          onChange={setSecond}
        />
        <Stepper
          label="Safe at third"
          value={third}
          step={0.05}
          min={0.3}
          max={0.98}
          text={percent}
          onChange={setThird}
        />
      </div>
      {best ? (
        <Sheet title="Best choices">
          {() => (
            <>
              <h2>
                {team.name}: {half} of inning {inning}
              </h2>
              <p>
                Safe at second {percent(second)}, at third {percent(third)}. Empty: swing.
              </p>
              <table className="best-table">
                <thead>
                  <tr>
                    <th scope="col">Bases</th>
                    <th scope="col">Out</th>
                    {LEADS.map((lead) => (
                      <th key={lead} scope="col">
                        {leadText(lead)}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {ROWS.flatMap((bases) =>
                    [0, 1, 2].map((outs) => (
                      <tr key={`${String(bases)} ${String(outs)}`}>
                        <th scope="row">
                          <span className={outs === 0 ? undefined : 'visually-hidden'}>
                            {ROW_TEXT[bases]}
                          </span>
                        </th>
                        <td>{outs}</td>
                        {LEADS.map((lead, index) => (
                          <td key={lead}>
                            {ACTION_TEXT[best.actions[index]?.[baseOut(bases, outs)] ?? 'swing']}
                          </td>
                        ))}
                      </tr>
                    )),
                  )}
                </tbody>
              </table>
              <p>
                <small>
                  A ranking, not a forecast: average batters and bunters, everybody always as safe
                  as said, a defence that does not answer, and with a runner on third a bunt
                  reckoned as a sacrifice, which a squeeze is not. {PLAY_LEVELS[team.level].note}
                </small>
              </p>
            </>
          )}
        </Sheet>
      ) : (
        <Loading what="the best choices" />
      )}
    </>
  );
}

function leadText(lead: number): string {
  if (lead === 0) return 'tied';
  return `${String(Math.abs(lead))} ${lead > 0 ? 'ahead' : 'behind'}`;
}
