import type { BattingRecord } from '@bradyon/contract/innings';
import { TOTALS, type BattingTotals } from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useContractForm } from '../../api/index.ts';
import { FormField, FormDialog, notify } from '../../ui/index.ts';
import type { useBatting } from './useBatting.ts';

const TEXT: Record<keyof BattingTotals, string> = {
  plateAppearances: 'Plate appearances',
  hits: 'Hits',
  doubles: 'Doubles',
  triples: 'Triples',
  homeRuns: 'Home runs',
  walks: 'Walks and hit by pitch',
  strikeouts: 'Strikeouts',
  reachedOnError: 'Reached on error',
  buntTries: 'Sacrifices tried',
  buntsGood: 'Sacrifices that worked',
};

type Values = Record<keyof BattingTotals, string>;

/** Empty is none; what is no number is sent as it is and refused with its reason. */
function count(typed: string): number | string {
  const plain = typed.trim();
  return plain === '' ? 0 : Number.isNaN(Number(plain)) ? typed : Number(plain);
}

/** A season at bat, as the scorebook adds it up. */
export function BattingForm({
  person,
  batting,
  onClose,
}: {
  person: Person;
  batting: ReturnType<typeof useBatting>;
  onClose: () => void;
}) {
  const known = batting.of(person.id);
  const { form, errorOf, failure, submit, submitting } = useContractForm<Values, BattingRecord>({
    initial: Object.fromEntries(TOTALS.map((key) => [key, known ? String(known[key]) : ''])),
    contract: async () => (await import('@bradyon/contract/innings')).battingContract,
    toSend: (values) => ({
      personId: person.id,
      ...Object.fromEntries(TOTALS.map((key) => [key, count(values[key])])),
    }),
    send: async (record) => {
      await batting.save.mutateAsync(record);
      onClose();
    },
  });
  return (
    <FormDialog
      title={`${person.name}, batting this season`}
      action="Save"
      submit={submit}
      failure={failure}
      submitting={submitting}
      onClose={onClose}
    >
      <div className="batting-fields">
        {TOTALS.map((key) => (
          <FormField key={key} label={TEXT[key]} error={errorOf(key)}>
            {(field) => (
              <Form.Control
                {...field}
                inputMode="numeric"
                autoComplete="off"
                placeholder="0"
                {...form.register(key)}
              />
            )}
          </FormField>
        ))}
      </div>
      {known && (
        <Button
          variant="link"
          onClick={() => {
            batting.remove.mutate(person.id, {
              onSuccess: () => {
                notify(`${person.name} now bats like an average player`, () => {
                  batting.save.mutate(known);
                });
                onClose();
              },
              onError: ({ message }) => {
                notify(`Not removed: ${message}`);
              },
            });
          }}
        >
          Remove season
        </Button>
      )}
    </FormDialog>
  );
}
