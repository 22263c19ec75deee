import type { Person } from '@bradyon/core/people';
import { Archive, ArchiveRestore, Pencil } from 'lucide-react';
import type { ComponentType, ReactNode } from 'react';
import { Link } from 'react-router';
import { useTeam } from '../teams/index.ts';

/** The players of one side, each with the number he is looked up for. */
export function RosterTable({
  people,
  KeyTime,
  onEdit,
  onRetire,
}: {
  people: Person[];
  KeyTime: ComponentType<{ person: Person }>;
  onEdit: (person: Person) => void;
  onRetire: (person: Person) => void;
}) {
  const { id: teamId } = useTeam();
  return (
    <table className="table roster-table">
      <thead>
        <tr>
          <th scope="col" className="roster-number">
            No.
          </th>
          <th scope="col">Name</th>
          <th scope="col" className="roster-wide">
            Positions
          </th>
          <th scope="col" className="roster-wide">
            Throws, bats
          </th>
          <th scope="col">Timed</th>
          <th scope="col">
            <span className="visually-hidden">Change</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {people.map((person) => (
          <tr key={person.id} className={person.retired ? 'roster-retired' : undefined}>
            <td className="roster-number figure">{person.number || '–'}</td>
            <th scope="row">
              <Link to={`/teams/${teamId}/timing/${person.id}`}>{person.name}</Link>
              {person.retired && <span className="quiet"> retired</span>}
            </th>
            <td className="roster-wide">{person.positions.join(', ') || '–'}</td>
            <td className="roster-wide">
              {person.throws}, {person.bats}
            </td>
            <td>
              <KeyTime person={person} />
            </td>
            <td className="roster-actions">
              <IconButton
                label={`Change ${person.name}`}
                onClick={() => {
                  onEdit(person);
                }}
              >
                <Pencil size={18} aria-hidden="true" />
              </IconButton>
              <IconButton
                label={person.retired ? `Bring back ${person.name}` : `Retire ${person.name}`}
                onClick={() => {
                  onRetire(person);
                }}
              >
                {person.retired ? (
                  <ArchiveRestore size={18} aria-hidden="true" />
                ) : (
                  <Archive size={18} aria-hidden="true" />
                )}
              </IconButton>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function IconButton({
  label,
  onClick,
  children,
}: {
  label: string;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      className="roster-icon"
      aria-label={label}
      title={label}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
