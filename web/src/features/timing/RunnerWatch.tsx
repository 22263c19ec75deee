import type { ReadingKind } from '@bradyon/core/timing';
import { Undo2 } from 'lucide-react';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { Choice, Empty } from '../../ui/index.ts';
import { PersonSelect, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { Latest, Seen } from './BatteryWatch.tsx';
import { useKeys } from './useKeys.ts';
import { useWatch, type SplitOwner } from './useWatch.ts';
import { WatchFace } from './WatchFace.tsx';

const RUNS = [
  { value: 'second', text: 'Steal of second' },
  { value: 'third', text: 'Third' },
  { value: 'first', text: 'Home to first' },
] as const;
const USUAL_LEAD_FEET = { second: 11.5, third: 18 };

/** The runner's watch: first move to touch with his lead, or home to first. */
export function RunnerWatch() {
  const team = useTeam();
  const { lineup, pick } = usePlaying(team.id);
  const { runner } = lineup;
  const [run, setRun] = useState<'first' | 'second' | 'third'>('second');
  const hasLead = team.ruleset.leadRule === 'open' && run !== 'first';
  const share = team.ruleset.baseDistanceFeet / 90;
  const [typedLead, setTypedLead] = useState<string | null>(null);
  const usualLead = run === 'first' ? 0 : Math.round(USUAL_LEAD_FEET[run] * share * 2) / 2;
  const lead = typedLead ?? String(usualLead);
  const leadFeet = lead.trim() === '' ? null : Number(lead.replace(',', '.'));
  const leadFits = leadFeet === null || (leadFeet >= 0 && leadFeet <= 40);

  const ownerOf = (_kind: ReadingKind): SplitOwner | null =>
    runner &&
    (hasLead && !leadFits
      ? null
      : {
          personId: runner.id,
          base: run === 'first' ? null : run,
          style: null,
          leadFeet: hasLead ? leadFeet : null,
        });
  const hand = useWatch(team.id, run === 'first' ? 'homeToFirst' : 'steal', ownerOf);
  useKeys({
    Space: hand.tap,
    z: hand.undo,
    1: () => {
      setRun('first');
    },
    2: () => {
      setRun('second');
    },
    3: () => {
      setRun('third');
    },
  });

  const from = hasLead && leadFits && leadFeet !== null ? ` from ${String(leadFeet)} ft` : '';
  const what = run === 'first' ? 'home to first' : `steal of ${run}${from}`;
  return (
    <div className="time">
      <div className="time-hand">
        <div className="time-who">
          <PersonSelect
            label="Runner"
            people={lineup.runners}
            value={runner}
            onChange={(runnerId) => {
              pick({ runnerId });
            }}
          />
          {hasLead && <LeadField lead={lead} fits={leadFits} onChange={setTypedLead} />}
        </div>
        <WatchFace hand={hand} about={`${runner?.name ?? 'Nobody picked'}, ${what}`} />
        <div className="time-keys">
          <Choice
            label="Run"
            options={RUNS}
            value={run}
            onChange={(value) => {
              setRun(value);
              setTypedLead(null);
            }}
          />
          <Button
            variant="outline-primary"
            disabled={hand.watch.tapsMs.length === 0}
            onClick={hand.undo}
          >
            <Undo2 size={18} aria-hidden="true" /> Undo <kbd>Z</kbd>
          </Button>
        </div>
      </div>
      <div className="time-seen">
        {runner ? (
          <>
            <Seen person={runner} role="runner" kinds={['steal', 'homeToFirst']} />
            <Latest people={[runner]} kinds={['steal', 'homeToFirst']} />
          </>
        ) : (
          <Empty title="Nobody to time yet.">
            <p>Add your players under Team, then come back with the watch.</p>
            <Link className="btn btn-primary" to={`/teams/${team.id}/people`}>
              Add players
            </Link>
          </Empty>
        )}
      </div>
    </div>
  );
}

function LeadField({
  lead,
  fits,
  onChange,
}: {
  lead: string;
  fits: boolean;
  onChange: (lead: string) => void;
}) {
  const id = useId();
  return (
    <div className="person-select">
      <label htmlFor={id}>Lead, ft</label>
      <Form.Control
        id={id}
        inputMode="decimal"
        value={lead}
        isInvalid={!fits}
        aria-describedby={`${id}-words`}
        onChange={({ target }) => {
          onChange(target.value);
        }}
      />
      {!fits && (
        <Form.Control.Feedback type="invalid" id={`${id}-words`}>
          Enter a lead from 0 to 40 ft; until then times are not kept.
        </Form.Control.Feedback>
      )}
    </div>
  );
}
