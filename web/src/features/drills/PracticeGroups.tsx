import type { PracticeRecord } from '@bradyon/contract/drills';
import type { Person } from '@bradyon/core/people';
import Form from 'react-bootstrap/Form';
import { Sortable, SortableHeading, SortableRow } from '../../ui/sortable/index.ts';
import { personLabel } from '../people/index.ts';
import { groupHeaded, groupsOfList, listOfGroups } from './grouping.ts';
import { groupName } from './timetable.ts';

const NOBODY = '';
const NOT_THERE = 'Not there';

/** Who is in which group: dragged under another heading, by the keys too, or chosen. */
export function PracticeGroups({
  practice: { groups },
  players,
  change,
}: {
  practice: PracticeRecord;
  players: readonly Person[];
  change: (parts: Partial<PracticeRecord>) => void;
}) {
  const list = listOfGroups(
    groups,
    players.map(({ id }) => id),
  );
  const groupOf = (id: string): string => {
    const at = groups.findIndex((group) => group.some((each) => each === id));
    return at < 0 ? NOBODY : String(at);
  };
  const move = (person: Person, to: string): void => {
    change({
      groups: groups.map((group, at) => {
        const rest = group.filter((each) => each !== person.id);
        return String(at) === to ? [...rest, person.id] : rest;
      }),
    });
  };
  return (
    <Sortable
      ids={list}
      onMove={(next) => {
        change({ groups: groupsOfList(next, groups.length) });
      }}
    >
      <ul className="practice-groups">
        {list.map((id) => {
          const headed = groupHeaded(id);
          if (headed !== undefined) {
            return (
              <SortableHeading key={id} id={id}>
                <h3>{headed === null ? NOT_THERE : groupName(headed)}</h3>
              </SortableHeading>
            );
          }
          const person = players.find((each) => each.id === id);
          if (!person) return null;
          return (
            <SortableRow key={id} id={id} label={`Move ${personLabel(person)}`}>
              <span className="practice-player">{personLabel(person)}</span>
              <Form.Select
                aria-label={`Group of ${personLabel(person)}`}
                value={groupOf(id)}
                onChange={({ target }) => {
                  move(person, target.value);
                }}
              >
                {groups.map((_, at) => (
                  <option key={groupName(at)} value={String(at)}>
                    {groupName(at)}
                  </option>
                ))}
                <option value={NOBODY}>{NOT_THERE}</option>
              </Form.Select>
            </SortableRow>
          );
        })}
      </ul>
    </Sortable>
  );
}
