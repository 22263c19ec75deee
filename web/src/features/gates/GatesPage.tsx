import type { GateRun } from '@bradyon/contract/gates';
import { splitsOfBeams } from '@bradyon/core/timing';
import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import {
  Empty,
  Failure,
  Loading,
  longDate,
  seconds,
  useTitle,
  distanceAsTaken,
  distanceText,
} from '../../ui/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { TimeTabs } from '../timing/index.ts';
import { AddDevice, DeviceCard } from './GateDevices.tsx';
import './GatesPage.scss';
import { useGates } from './useGates.ts';

/** Timing gates and radar: who is at them, what they saw, and which devices there are. */
export function GatesPage() {
  useTitle('Gates');
  const team = useTeam();
  const gates = useGates(team.id);
  const people = usePeople(team.id);
  const { devices, runs } = gates;
  const [token, setToken] = useState<{ deviceId: string; token: string } | null>(null);
  const error = devices.error ?? runs.error;
  return (
    <div className="time-page">
      <div className="page-head time-head">
        <h1>Gates</h1>
        <TimeTabs />
      </div>
      {error && !devices.data ? (
        <Failure
          error={error}
          retry={() => {
            void devices.refetch();
            void runs.refetch();
          }}
        />
      ) : !devices.data || !runs.data || people.isLoading ? (
        <Loading what="your gates" />
      ) : (
        <div className="gates">
          <section className="card-box">
            <h2>Runs</h2>
            {runs.data.length === 0 ? (
              <p className="quiet">No runs yet. Add a device, choose who is running, and go.</p>
            ) : (
              <ul className="gate-runs">
                {runs.data.map((run) => (
                  <RunRow
                    key={run.id}
                    run={run}
                    name={people.people.find(({ id }) => id === run.personId)?.name ?? ''}
                  />
                ))}
              </ul>
            )}
          </section>
          <div className="gates-side">
            {devices.data.length === 0 && (
              <Empty title="No devices yet.">
                <p>
                  Gates and radar send times with their own token. To try it, add simulated gates.
                </p>
              </Empty>
            )}
            {devices.data.map((device) => (
              <DeviceCard
                key={device.id}
                device={device}
                token={token?.deviceId === device.id ? token.token : null}
                gates={gates}
              />
            ))}
            <AddDevice
              gates={gates}
              onAdded={(deviceId, made) => {
                setToken({ deviceId, token: made });
              }}
            />
          </div>
        </div>
      )}
    </div>
  );
}

function RunRow({ run, name }: { run: GateRun; name: string }) {
  const { splits, missedFeet } = splitsOfBeams(run.beams);
  return (
    <li className="gate-run">
      <div>
        <strong>{name}</strong>
        <span className="quiet">
          {longDate(run.takenAt)}, {run.deviceName}
        </span>
      </div>
      <ul className="gate-splits">
        {splits.map(({ fromFeet, toFeet, seconds: value }) => (
          <li key={`${String(fromFeet)} ${String(toFeet)}`}>
            <span className="quiet">
              {distanceText(fromFeet)} to {distanceAsTaken(toFeet)}
            </span>
            <strong className="figure">{seconds(value)}</strong>
          </li>
        ))}
      </ul>
      {missedFeet.length > 0 && (
        <p className="gate-missed">
          <TriangleAlert size={16} aria-hidden="true" /> The beam at{' '}
          {missedFeet.map(distanceAsTaken).join(' and ')} missed the runner. That split was not
          timed.
        </p>
      )}
    </li>
  );
}
