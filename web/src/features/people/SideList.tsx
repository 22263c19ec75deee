import type { Opponent, Person } from '@bradyon/core/people';
import type { OpponentId } from '@bradyon/core/units';
import { Plus } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { notify } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { useSaveOpponent } from './usePeople.ts';

/** Our side and those we play against, to choose whose roster shows. */
export function SideList({
  opponents,
  people,
  current,
  showsRetired,
  onShow,
  onAdd,
}: {
  opponents: Opponent[];
  people: Person[];
  current: OpponentId | null;
  showsRetired: boolean;
  onShow: (id: OpponentId | null) => void;
  onAdd: () => void;
}) {
  const team = useTeam();
  const restore = useSaveOpponent(team.id);
  const sides = [
    { id: null, name: team.name, retired: false },
    ...opponents
      .filter(({ id, retired }) => showsRetired || !retired || id === current)
      .toSorted((a, b) => a.name.localeCompare(b.name)),
  ];
  const count = (id: OpponentId | null): number =>
    people.filter(({ opponentId, retired }) => opponentId === id && !retired).length;
  const retired = opponents.filter((opponent) => opponent.retired);
  return (
    <nav className="roster-sides" aria-label="Teams">
      {sides.map(({ id, name }) => (
        <button
          key={id ?? 'ours'}
          type="button"
          className="roster-side-button"
          aria-current={id === current ? 'true' : undefined}
          onClick={() => {
            onShow(id);
          }}
        >
          <span>{name}</span>
          <span className="quiet">
            {id === null ? 'ours, ' : ''}
            {count(id)} players
          </span>
        </button>
      ))}
      {retired
        .filter(({ id }) => !showsRetired && id !== current)
        .map((opponent) => (
          <button
            key={opponent.id}
            type="button"
            className="roster-side-button quiet"
            onClick={() => {
              restore.mutate(
                { row: { ...opponent, retired: false }, isNew: false },
                {
                  onError: ({ message }) => {
                    notify(message);
                  },
                },
              );
            }}
          >
            <span>{opponent.name}</span>
            <span>retired. Bring back</span>
          </button>
        ))}
      <Button variant="outline-primary" onClick={onAdd}>
        <Plus size={18} aria-hidden="true" /> Add opponent
      </Button>
    </nav>
  );
}
