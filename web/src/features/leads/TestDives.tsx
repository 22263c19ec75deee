import { DIVE_RESULTS, rangeShown, type DiveResult } from '@bradyon/core/leads';
import type { Person } from '@bradyon/core/people';
import Button from 'react-bootstrap/Button';
import { useState } from 'react';
import { distance, notify, shortDate, Stepper } from '../../ui/index.ts';
import type { Leads } from './useLeads.ts';
import { DIVE_TEXT } from './words.ts';

const SHOWN = 6;

/** One crossover step and a dive back: how a coach finds a runner's lead. */
export function TestDives({
  leads: { dives },
  runner,
  leadFeet,
}: {
  leads: Leads;
  runner: Person;
  leadFeet: number;
}) {
  const [inches, setInches] = useState(6);
  const own = dives.of(runner.id);
  const add = (result: DiveResult): void => {
    dives.add(runner.id, { leadFeet, result, inchesShort: result === 'short' ? inches : null });
    notify(`Test dive from ${distance(leadFeet)}: ${DIVE_TEXT[result].toLowerCase()}`);
  };
  return (
    <section className="card-box">
      <h2>Test dive from {distance(leadFeet)}</h2>
      <p className="quiet">
        One crossover step and a dive. Elbow over the bag: take a bit more. Short: take less.
      </p>
      <div className="dive-buttons">
        {DIVE_RESULTS.map((result) => (
          <Button
            key={result}
            variant="outline-primary"
            onClick={() => {
              add(result);
            }}
          >
            {DIVE_TEXT[result]}
          </Button>
        ))}
        <Stepper
          label="Short by"
          value={inches}
          step={1}
          min={1}
          max={48}
          text={(value) => `${String(value)} in`}
          onChange={setInches}
        />
      </div>
      {own.length === 0 ? (
        <p className="quiet">No test dives of {runner.name} yet.</p>
      ) : (
        <ul className="dive-list">
          {own.slice(0, SHOWN).map((dive) => (
            <li key={dive.id}>
              <span>
                {distance(dive.leadFeet)}: {DIVE_TEXT[dive.result].toLowerCase()}
                {dive.inchesShort !== null && ` by ${String(dive.inchesShort)} in`}, reaches{' '}
                {distance(rangeShown(dive))}
              </span>
              <span className="quiet">{shortDate(dive.takenAt)}</span>
              <Button
                variant="link"
                aria-label={`Undo the dive from ${distance(dive.leadFeet)}`}
                onClick={() => {
                  dives.takeBack(dive.id);
                }}
              >
                Undo
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
