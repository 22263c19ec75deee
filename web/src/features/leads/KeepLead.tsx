import Button from 'react-bootstrap/Button';
import { distance, notify } from '../../ui/index.ts';
import { useSavePerson } from '../people/index.ts';
import { useLeadDraft } from './leadStore.ts';
import type { Leads, Out } from './useLeads.ts';

/** The lead that the other screens reckon with. */
export function KeepLead({
  leads,
  out: { runner },
  leadFeet,
}: {
  leads: Leads;
  out: Out;
  leadFeet: number;
}) {
  const save = useSavePerson(leads.team.id);
  const keep = (value: number | null): void => {
    const before = runner.leadFeet;
    save.mutate(
      { row: { ...runner, leadFeet: value }, isNew: false },
      {
        onSuccess: () => {
          useLeadDraft.setState({ first: null });
          notify(
            value === null ? 'Usual lead restored' : `${runner.name} leads off ${distance(value)}`,
            () => {
              save.mutate({ row: { ...runner, leadFeet: before }, isNew: false });
            },
          );
        },
        onError: ({ message }) => {
          notify(`The lead was not saved: ${message}`);
        },
      },
    );
  };
  return (
    <div className="lead-keep">
      <Button
        disabled={runner.leadFeet === leadFeet || save.isPending}
        onClick={() => {
          keep(leadFeet);
        }}
      >
        Keep {distance(leadFeet)} as their lead
      </Button>
      {runner.leadFeet !== null && (
        <Button
          variant="link"
          onClick={() => {
            keep(null);
          }}
        >
          Use the usual lead {distance(leads.usualLeadFeet)}
        </Button>
      )}
    </div>
  );
}
