import type { SignAnswerRecord } from '@bradyon/contract/signs';
import { knownSigns, type SignAnswer } from '@bradyon/core/signs';
import type { PersonId, TeamId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { answersKept, answerWrite } from './writes.ts';

const MS_PER_DAY = 86_400_000;
export const todayNow = (): number => Date.now() / MS_PER_DAY;

const asAnswer = ({ meant, answered, seconds, takenAt }: SignAnswerRecord): SignAnswer => ({
  meant,
  answered,
  seconds,
  day: Date.parse(takenAt) / MS_PER_DAY,
});

/** Everybody's answers, those that wait to be sent too. */
export function useAnswers(teamId: TeamId) {
  const list = answersKept(teamId);
  const { error, refetch } = useQuery({
    queryKey: ['sign-answers', teamId],
    queryFn: () => list.sync(),
    meta: { onlyHere: true },
  });
  const count = useSyncExternalStore(
    (tell) => list.onChange(tell),
    () => list.rows.size,
  );
  const waiting = answerWrite.useWaiting(teamId);
  const byPerson = useMemo(() => {
    const found = new Map<PersonId, SignAnswer[]>();
    const rows = new Map<string, SignAnswerRecord>(count === 0 ? [] : list.rows);
    for (const each of waiting) rows.set(each.id, each);
    for (const row of rows.values())
      found.set(row.personId, [...(found.get(row.personId) ?? []), asAnswer(row)]);
    return found;
  }, [list, count, waiting]);
  return {
    of: (personId: PersonId): SignAnswer[] => byPerson.get(personId) ?? [],
    known: (personId: PersonId) => knownSigns(byPerson.get(personId) ?? []),
    error: count === 0 && waiting.length === 0 ? error : null,
    retry: () => void refetch(),
  };
}
