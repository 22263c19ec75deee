import Button from 'react-bootstrap/Button';
import { Choice, Stepper } from '../../ui/index.ts';
import { FacingSelect } from '../people/index.ts';
import { Diamond } from './Diamond.tsx';
import { HalfChoice } from './HalfChoice.tsx';
import { misfitOf } from './game.ts';
import { FromChoice, OutsChoice, PlayForChoice } from './SituationChoices.tsx';
import { UpSelect } from './UpSelect.tsx';
import type { OddsInView } from './useOdds.ts';

const MOST_INNINGS = 20;
const MOST_LEAD = 15;

/** Where it stands, each part a tap away. */
export function SituationBox({ view }: { view: OddsInView }) {
  const { situation, set, game, order } = view;
  const misfit = misfitOf(game, situation);
  return (
    <section className="card-box odds-situation">
      <Diamond
        bases={situation.bases}
        onChange={(bases) => {
          set({ bases });
        }}
      />
      <div className="odds-set">
        <FromChoice {...view} />
        <div className="control-row">
          <PlayForChoice {...view} />
          <OutsChoice {...view} />
          <HalfChoice view={view} />
          <Choice
            label="At bat"
            value={situation.batting}
            options={[
              { value: 'we', text: 'We bat' },
              { value: 'they', text: 'They bat' },
            ]}
            onChange={(batting) => {
              set({ batting });
            }}
          />
          <Stepper
            label="Inning"
            value={situation.inning}
            step={1}
            min={1}
            max={MOST_INNINGS}
            text={String}
            onChange={(inning) => {
              set({ inning });
            }}
          />
        </div>
        <div className="control-row">
          <Stepper
            label="Our lead"
            value={situation.lead}
            step={1}
            min={-MOST_LEAD}
            max={MOST_LEAD}
            text={(lead) => (lead < 0 ? `−${String(-lead)}` : String(lead))}
            onChange={(lead) => {
              set({ lead });
            }}
          />
          <FacingSelect />
          {order.length > 0 && (
            <>
              <UpSelect label={situation.batting === 'we' ? 'Up' : 'Leadoff'} view={view} />
              <Button
                variant="outline-primary"
                onClick={() => {
                  set({ spot: (situation.spot + 1) % order.length });
                }}
              >
                Next batter
              </Button>
            </>
          )}
        </div>
        {misfit && (misfit.path === 'inning' || misfit.path === 'homeLead') && (
          <p className="odds-misfit" role="alert">
            {misfit.message}
          </p>
        )}
      </div>
    </section>
  );
}
