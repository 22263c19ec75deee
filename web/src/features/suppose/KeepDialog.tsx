import type { Opponent, Person } from '@bradyon/core/people';
import type { OpponentId, PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { newId } from '../../api/index.ts';
import { FormDialog, FormField } from '../../ui/index.ts';
import {
  personLabel,
  standsInFor,
  usePeople,
  usePlaying,
  useSaveOpponent,
  useSavePerson,
  type RaceRole,
} from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useKeepTimes } from './useKeepTimes.ts';
import type { WhatIfTime } from './supposed.ts';

const ROLE_TEXT: Record<RaceRole, string> = {
  pitcher: 'Pitcher',
  catcher: 'Catcher',
  runner: 'Runner',
};
const MOST_LETTERS = 80;

/** Asks whose times they are where a typical player stood in: somebody new, or somebody known. */
export function KeepDialog({
  times,
  onClose,
}: {
  times: readonly WhatIfTime[];
  onClose: () => void;
}) {
  const team = useTeam();
  const { people, opponents } = usePeople(team.id);
  const { onField, pick } = usePlaying(team.id);
  const savePerson = useSavePerson(team.id);
  const saveOpponent = useSaveOpponent(team.id);
  const keep = useKeepTimes();
  const roles = [...new Set(times.flatMap(({ person }) => standsInFor(person) ?? []))];
  const known: Record<RaceRole, readonly Person[]> = {
    pitcher: onField.pitchers,
    catcher: onField.catchers,
    runner: onField.runners,
  };
  // Made once: a second try after a lost answer is the same players.
  const [ids] = useState(() => ({
    opponent: newId<OpponentId>(),
    pitcher: newId<PersonId>(),
    catcher: newId<PersonId>(),
    runner: newId<PersonId>(),
  }));
  const [names, setNames] = useState<Record<RaceRole, string>>({
    pitcher: 'Their pitcher',
    catcher: 'Their catcher',
    runner: 'Our runner',
  });
  const [chosen, setChosen] = useState<Partial<Record<RaceRole, PersonId>>>({});
  const newBattery = roles.filter((role) => role !== 'runner' && !chosen[role]);
  // With one of our own, at practice, the other is ours too.
  const isPractice = onField.facing === 'ours' && Boolean(chosen.pitcher ?? chosen.catcher);
  const theirTeam =
    opponents.find(({ id }) => id === onField.facing) ??
    opponents.find(({ retired }) => !retired) ??
    null;
  const needsTeam = newBattery.length > 0 && !isPractice && theirTeam === null;
  const [theirName, setTheirName] = useState('Next opponent');
  const [asked, setAsked] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const [submitting, setSubmitting] = useState(false);
  const problemOf = (text: string, what: string): string | undefined =>
    asked && text.trim() === '' ? `Enter ${what}.` : undefined;

  const save = async (): Promise<void> => {
    const isNew = (role: RaceRole): boolean => chosen[role] === undefined;
    setAsked(true);
    if (roles.some((role) => isNew(role) && names[role].trim() === '')) return;
    if (needsTeam && theirName.trim() === '') return;
    setSubmitting(true);
    setFailure(null);
    try {
      let opponent: Opponent | null = theirTeam;
      if (needsTeam) {
        opponent = { id: ids.opponent, name: theirName.trim(), retired: false };
        await saveOpponent.mutateAsync({ row: opponent, isNew: true });
      }
      const facing = isPractice ? null : (opponent?.id ?? null);
      for (const role of roles.filter(isNew)) {
        await savePerson.mutateAsync({
          // Saved before the second try, they may have another name by now.
          isNew: !people.some(({ id }) => id === ids[role]),
          row: {
            id: ids[role],
            opponentId: role === 'runner' ? null : facing,
            number: '',
            name: names[role].trim(),
            throws: 'right',
            bats: 'right',
            positions: role === 'pitcher' ? ['P'] : role === 'catcher' ? ['C'] : [],
            leadFeet: null,
            retired: false,
          },
        });
      }
      const ownerOf = (role: RaceRole): PersonId => chosen[role] ?? ids[role];
      pick({
        ...(newBattery.length > 0 && { facing: facing ?? 'ours' }),
        ...(roles.includes('pitcher') && { pitcherId: ownerOf('pitcher') }),
        ...(roles.includes('catcher') && { catcherId: ownerOf('catcher') }),
        ...(roles.includes('runner') && { runnerId: ownerOf('runner') }),
      });
      keep(times, ({ person }) => {
        const role = standsInFor(person);
        return role ? ownerOf(role) : person.id;
      });
      onClose();
    } catch (error) {
      setFailure(error instanceof Error ? error.message : 'That was not saved. Try again.');
      setSubmitting(false);
    }
  };

  return (
    <FormDialog
      title="Whose times are these?"
      action="Keep"
      submit={async (event) => {
        event?.preventDefault();
        await save();
      }}
      failure={failure}
      submitting={submitting}
      onClose={onClose}
    >
      {roles.map((role) => (
        <div key={role} className="what-if-owner">
          {known[role].length > 0 && (
            <FormField label={ROLE_TEXT[role]}>
              {(field) => (
                <Form.Select
                  {...field}
                  value={chosen[role] ?? ''}
                  onChange={({ target }) => {
                    setChosen({
                      ...chosen,
                      [role]: target.value === '' ? undefined : (target.value as PersonId),
                    });
                  }}
                >
                  <option value="">New player</option>
                  {known[role].map((person) => (
                    <option key={person.id} value={person.id}>
                      {personLabel(person)}
                    </option>
                  ))}
                </Form.Select>
              )}
            </FormField>
          )}
          {chosen[role] === undefined && (
            <FormField label={`${ROLE_TEXT[role]}’s name`} error={problemOf(names[role], 'a name')}>
              {(field) => (
                <Form.Control
                  {...field}
                  autoComplete="off"
                  maxLength={MOST_LETTERS}
                  value={names[role]}
                  onChange={({ target }) => {
                    setNames({ ...names, [role]: target.value });
                  }}
                />
              )}
            </FormField>
          )}
        </div>
      ))}
      {needsTeam && (
        <FormField label="Their team" error={problemOf(theirName, 'a team name')}>
          {(field) => (
            <Form.Control
              {...field}
              autoComplete="off"
              maxLength={MOST_LETTERS}
              value={theirName}
              onChange={({ target }) => {
                setTheirName(target.value);
              }}
            />
          )}
        </FormField>
      )}
    </FormDialog>
  );
}
