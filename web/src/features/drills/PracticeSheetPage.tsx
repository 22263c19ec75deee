import { lineUp, ageAt, isStation, limitsOf, type Practice } from '@bradyon/core/drills';
import { longDate, Sheet } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import type { DrillsInView } from './DrillPage.tsx';
import { OnePractice } from './OnePractice.tsx';
import { SetUps, Timetable } from './PracticeTable.tsx';
import { groupName } from './timetable.ts';
import { useNeeds } from './useNeeds.ts';

/** A practice on one side of a sheet: who is where when, who goes first, what to set out. */
export function PracticeSheetPage() {
  return (
    <OnePractice title="Practice sheet">
      {(practice, view) => (
        <Sheet title={practice.name}>
          {() => (
            <div className="practice-sheet">
              <h2>
                {practice.name}, {longDate(practice.startsAt)}
              </h2>
              <Timetable practice={practice} />
              <GroupLists practice={practice} view={view} />
              <SetUps practice={practice} />
              {practice.notes !== '' && <p>{practice.notes}</p>}
              <p>
                Warm up first. Helmets at bunts and for base coaches. Pain, heat or lightning: stop.
              </p>
            </div>
          )}
        </Sheet>
      )}
    </OnePractice>
  );
}

/** Each group in the order in which it goes at its first station; who goes twice has a mark. */
function GroupLists({ practice, view }: { practice: Practice; view: DrillsInView }) {
  const needs = useNeeds(view, limitsOf(practice, ageAt(view.team.level)).sprints);
  const byId = new Map(view.players.map((person) => [person.id, person]));
  return (
    <div className="practice-lists">
      {practice.groups.map((group, at) => {
        const there = group.map((id) => byId.get(id)).filter((person) => person !== undefined);
        const first = practice.order[at % practice.order.length] ?? '';
        const { order, twice } = isStation(first)
          ? lineUp(there.map(needs.of), first)
          : { order: group, twice: [] };
        return (
          <div key={groupName(at)}>
            <h3>{groupName(at)}</h3>
            <ol>
              {order.map((id) => {
                const person = byId.get(id);
                return person ? (
                  <li key={id}>
                    {personLabel(person)}
                    {twice.includes(id) && ' (twice)'}
                  </li>
                ) : null;
              })}
            </ol>
          </div>
        );
      })}
    </div>
  );
}
