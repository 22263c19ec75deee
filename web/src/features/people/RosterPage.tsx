import { byNumber, type Opponent, type Person } from '@bradyon/core/people';
import { Pencil, Plus } from 'lucide-react';
import { useState, type ComponentType } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import { Empty, Failure, Loading, notify, useTitle } from '../../ui/index.ts';
import { TeamTabs, useTeam } from '../teams/index.ts';
import { OpponentForm } from './OpponentForm.tsx';
import { PersonForm } from './PersonForm.tsx';
import './RosterPage.scss';
import { RosterTable } from './RosterTable.tsx';
import { SideList } from './SideList.tsx';
import { usePeople, useSavePerson } from './usePeople.ts';

/** Which form is open: for somebody new, or for somebody to change. */
type Open = { person: Person | null } | { opponent: Opponent | null } | null;

/** Our roster and our opponents'. Which side and whether retired ones show is in the address. */
export function RosterPage({
  KeyTime,
  FirstSteps,
}: {
  KeyTime: ComponentType<{ person: Person }>;
  FirstSteps: ComponentType;
}) {
  useTitle('Team');
  const team = useTeam();
  const { people, opponents, isLoading, error, retry } = usePeople(team.id);
  const [search, setSearch] = useSearchParams();
  const [open, setOpen] = useState<Open>(null);
  const showsRetired = search.get('retired') === '1';
  const opponent = opponents.find(({ id }) => id === search.get('side')) ?? null;
  const side = people
    .filter(({ opponentId }) => opponentId === (opponent?.id ?? null))
    .toSorted(byNumber);
  const retiredCount = side.filter(({ retired }) => retired).length;
  const shown = side.filter(({ retired }) => showsRetired || !retired);
  const toggleRetired = useRetire();

  const show = (change: Record<string, string | null>): void => {
    setSearch((params) => {
      for (const [key, value] of Object.entries(change)) {
        if (value === null) params.delete(key);
        else params.set(key, value);
      }
      return params;
    });
  };
  const close = (): void => {
    setOpen(null);
  };

  return (
    <>
      <div className="page-head">
        <h1>Team</h1>
        <TeamTabs />
      </div>
      {error ? (
        <Failure error={error} retry={retry} />
      ) : isLoading ? (
        <Loading what="rosters" />
      ) : (
        <>
          <FirstSteps />
          <div className="roster">
            <SideList
              opponents={opponents}
              people={people}
              current={opponent?.id ?? null}
              showsRetired={showsRetired}
              onShow={(id) => {
                show({ side: id });
              }}
              onAdd={() => {
                setOpen({ opponent: null });
              }}
            />
            <section className="card-box roster-side">
              <div className="roster-head">
                <h2>{opponent?.name ?? team.name}</h2>
                {opponent && (
                  <Button
                    variant="link"
                    onClick={() => {
                      setOpen({ opponent });
                    }}
                  >
                    <Pencil size={16} aria-hidden="true" /> Rename or retire
                  </Button>
                )}
                {retiredCount > 0 && (
                  <Button
                    variant="link"
                    aria-pressed={showsRetired}
                    onClick={() => {
                      show({ retired: showsRetired ? null : '1' });
                    }}
                  >
                    {showsRetired ? 'Hide retired' : `Show ${String(retiredCount)} retired`}
                  </Button>
                )}
                <Button
                  onClick={() => {
                    setOpen({ person: null });
                  }}
                >
                  <Plus size={18} aria-hidden="true" /> Add player
                </Button>
              </div>
              {shown.length === 0 ? (
                <Empty title="Nobody here yet.">
                  <p>
                    {opponent
                      ? 'Add their pitchers and catchers so you can time them.'
                      : 'Add your players, then time their steals.'}
                  </p>
                </Empty>
              ) : (
                <RosterTable
                  people={shown}
                  KeyTime={KeyTime}
                  onEdit={(person) => {
                    setOpen({ person });
                  }}
                  onRetire={toggleRetired}
                />
              )}
            </section>
          </div>
        </>
      )}
      {open && 'person' in open && (
        <PersonForm
          person={open.person}
          opponentId={opponent?.id ?? null}
          sideName={opponent?.name ?? team.name}
          onClose={close}
        />
      )}
      {open && 'opponent' in open && (
        <OpponentForm
          opponent={open.opponent}
          onClose={close}
          onSaved={(id) => {
            show({ side: id });
          }}
        />
      )}
    </>
  );
}

/** Retires somebody or brings him back, with a way to undo it. */
function useRetire(): (person: Person) => void {
  const team = useTeam();
  const save = useSavePerson(team.id);
  const put = (person: Person, done: () => void): void => {
    save.mutate(
      { row: person, isNew: false },
      {
        onSuccess: done,
        onError: ({ message }) => {
          notify(message);
        },
      },
    );
  };
  return (person) => {
    const changed = { ...person, retired: !person.retired };
    put(changed, () => {
      notify(
        `${person.name} ${changed.retired ? 'retired. Their times are kept' : 'is back'}`,
        () => {
          put(person, () => undefined);
        },
      );
    });
  };
}
