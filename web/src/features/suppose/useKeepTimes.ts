import { commonLeadFeet } from '@bradyon/core/sprint';
import type { ReadingDraft } from '@bradyon/core/timing';
import type { PersonId, ReadingId } from '@bradyon/core/units';
import { newId } from '../../api/index.ts';
import { notify, seconds } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { readingWrite } from '../timing/index.ts';
import { useSupposedTimes, type WhatIfTime } from './supposed.ts';

/** Makes what is supposed into typed times of somebody; what was supposed is then gone. */
export function useKeepTimes() {
  const team = useTeam();
  const supposed = useSupposedTimes(team.id);
  /** @param ownerOf whose time it becomes, when not that of the person it was supposed of */
  return (
    times: readonly WhatIfTime[],
    ownerOf: (time: WhatIfTime) => PersonId = ({ person }) => person.id,
  ): void => {
    const drafts = times.flatMap((time): ReadingDraft[] => {
      const { seconds: typed, leadFeet } = supposed.of(time);
      if (typed === undefined) return [];
      const { context } = time;
      return [
        {
          ...context,
          leadFeet: commonLeadFeet(context, team.ruleset) === null ? null : leadFeet,
          id: newId<ReadingId>(),
          personId: ownerOf(time),
          seconds: typed,
          method: 'typed',
          resolutionSeconds: null,
          movedFrom: null,
          takenAt: new Date().toISOString(),
        },
      ];
    });
    for (const draft of drafts) readingWrite.send(team.id, { step: 'add', draft });
    supposed.forget(times);
    const figures = drafts.map((draft) => seconds(draft.seconds)).join(', ');
    notify(`${figures} saved as ${drafts.length === 1 ? 'a time' : 'times'}`, () => {
      for (const { id } of drafts) readingWrite.send(team.id, { step: 'delete', readingId: id });
    });
  };
}
