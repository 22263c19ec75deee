import { ageAt, capsAt, searchLead } from '@bradyon/core/drills';
import { DIVE_RESULTS, rangeShown, type DiveResult } from '@bradyon/core/leads';
import type { Person } from '@bradyon/core/people';
import Button from 'react-bootstrap/Button';
import { useState } from 'react';
import { distance, notify, shortDate, Stepper } from '../../ui/index.ts';
import type { Leads } from './useLeads.ts';
import { DIVE_TEXT } from './words.ts';

const SHOWN = 6;
/** Older dives were another runner's legs. */
const FRESH_MS = 60 * 86_400_000;

function isSameDay(instant: string, nowMs: number): boolean {
  return new Date(instant).toDateString() === new Date(nowMs).toDateString();
}

/** One crossover step and a dive back: how a coach finds a runner's lead. */
export function TestDives({
  leads: { dives, team, times },
  runner,
  leadFeet,
  onLead,
}: {
  leads: Leads;
  runner: Person;
  leadFeet: number;
  /** The next dive is from here. */
  onLead: (feet: number) => void;
}) {
  const [inches, setInches] = useState(6);
  const [now] = useState(() => Date.now());
  const own = dives.of(runner.id);
  const search = searchLead(
    own.filter(({ takenAt }) => Date.parse(takenAt) > now - FRESH_MS).toReversed(),
    times.field.level.back.reachFeet,
  );
  // Leads are set by the half foot.
  const next = Math.round(2 * search.nextFeet) / 2;
  const today = own.filter(({ takenAt }) => isSameDay(takenAt, now)).length;
  const most = capsAt(ageAt(team.level)).dives;
  const add = (result: DiveResult): void => {
    dives.add(runner.id, { leadFeet, result, inchesShort: result === 'short' ? inches : null });
    notify(`Test dive from ${distance(leadFeet)}: ${DIVE_TEXT[result].toLowerCase()}`);
  };
  return (
    <section className="card-box">
      <h2>Test dive from {distance(leadFeet)}</h2>
      <p className="quiet">
        One crossover step and a dive, on soft grass and from the knees first. Helmet on.
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
      <p className="dive-next">
        {search.isKnown ? (
          <>
            Known to {distance(search.giveOrTakeFeet)}: lead {distance(search.advisedFeet)} and a
            dive back makes it nine times in ten.
          </>
        ) : today >= most ? (
          <>
            {today} today: enough at this age. Go on another day
            {own.length > 0 && <>, from {distance(next)}</>}.
          </>
        ) : (
          <>
            Next dive from {distance(next)}.{' '}
            {next !== leadFeet && (
              <Button
                variant="link"
                onClick={() => {
                  onLead(next);
                }}
              >
                Set it
              </Button>
            )}
          </>
        )}
      </p>
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
