import type { GateDevice } from '@bradyon/contract/gates';
import { Copy, Radio, Trash2 } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { FormField, notify, distanceAsTaken } from '../../ui/index.ts';
import { personLabel, PersonSelect, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { sendSimulatedRun, useGates } from './useGates.ts';

const SIMULATED = 'Simulated gates';

type Gates = ReturnType<typeof useGates>;

/** One device: who is at it, its token just after it was set up, and its end. */
export function DeviceCard({
  device,
  token,
  gates,
}: {
  device: GateDevice;
  /** Known only just after it was set up. */
  token: string | null;
  gates: Gates;
}) {
  const team = useTeam();
  const { onField } = usePlaying(team.id);
  const [busy, setBusy] = useState(false);
  const [sure, setSure] = useState(false);
  const runner = onField.runners.find(({ id }) => id === device.runnerId) ?? null;
  const failed = ({ message }: Error): void => {
    notify(message);
  };
  const simulate = async (): Promise<void> => {
    if (token === null) return;
    setBusy(true);
    try {
      const answer = await sendSimulatedRun(
        token,
        team.level,
        touchFeet(team.ruleset.baseDistanceFeet),
      );
      await gates.refresh();
      notify(
        `${answer.personName}: ${String(answer.readings)} times${answer.missedFeet.length > 0 ? `, beam at ${answer.missedFeet.map(distanceAsTaken).join(' and ')} missed` : ''}`,
      );
    } catch (error) {
      notify(error instanceof Error ? error.message : 'The run was not sent. Try again.');
    }
    setBusy(false);
  };
  return (
    <section className="card-box gate-device">
      <h2>
        <Radio size={18} aria-hidden="true" /> {device.name}
      </h2>
      <PersonSelect
        label="Running now"
        people={onField.runners}
        value={runner}
        onChange={(personId) => {
          gates.setRunner.mutate({ id: device.id, personId }, { onError: failed });
        }}
      />
      {token !== null && (
        <div className="gate-token">
          <p>
            This token is shown only once. The device sends it with every run.{' '}
            <code>npm run gates</code> takes it too.
          </p>
          <code>{token}</code>
          <Button
            variant="outline-primary"
            onClick={() => {
              navigator.clipboard.writeText(token).then(
                () => {
                  notify('Token copied');
                },
                () => {
                  notify('Not copied. Select it and copy it by hand.');
                },
              );
            }}
          >
            <Copy size={17} aria-hidden="true" /> Copy
          </Button>
        </div>
      )}
      {device.name === SIMULATED &&
        (token === null ? (
          <p className="quiet">The token was only shown once. Add new gates to simulate runs.</p>
        ) : (
          <Button disabled={busy || runner === null} onClick={() => void simulate()}>
            {runner ? `Simulate a run by ${personLabel(runner)}` : 'Choose who is running'}
          </Button>
        ))}
      <Button
        variant="link"
        onClick={() => {
          if (sure) gates.remove.mutate(device.id, { onError: failed });
          else setSure(true);
        }}
      >
        <Trash2 size={17} aria-hidden="true" />{' '}
        {sure ? 'Remove it? Its token stops working' : 'Remove'}
      </Button>
    </section>
  );
}

/** The last beam stands where he touches: the near side of the bag. */
function touchFeet(baseDistanceFeet: number): number {
  return baseDistanceFeet - 2;
}

/** Sets up a device, or a simulated one. */
export function AddDevice({
  gates,
  onAdded,
}: {
  gates: Gates;
  onAdded: (deviceId: string, token: string) => void;
}) {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | undefined>();
  const add = (wanted: string): void => {
    const trimmed = wanted.trim();
    if (trimmed === '' || trimmed.length > 40) {
      setProblem('Name the device, up to 40 letters.');
      return;
    }
    setProblem(undefined);
    gates.add.mutate(trimmed, {
      onSuccess: (device) => {
        setName('');
        onAdded(device.id, device.token);
      },
      onError: ({ message }) => {
        setProblem(message);
      },
    });
  };
  return (
    <section className="card-box gate-device">
      <h2>Add a device</h2>
      <Form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          add(name);
        }}
      >
        <FormField label="Name" error={problem}>
          {(field) => (
            <Form.Control
              {...field}
              value={name}
              autoComplete="off"
              onChange={({ target }) => {
                setName(target.value);
              }}
            />
          )}
        </FormField>
        <div className="gate-buttons">
          <Button type="submit" variant="outline-primary" disabled={gates.add.isPending}>
            Add
          </Button>
          <Button
            disabled={gates.add.isPending}
            onClick={() => {
              add(SIMULATED);
            }}
          >
            Add simulated gates
          </Button>
        </div>
      </Form>
      <p className="quiet">The format a device sends is in docs/formats.md.</p>
    </section>
  );
}
