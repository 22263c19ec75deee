import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { PLAY_LEVELS } from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { GripVertical, X } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { Empty, Failure, Loading, notify, percent, PickOne, useTitle } from '../../ui/index.ts';
import { personLabel, usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { keepLast } from '../timing/index.ts';
import { BattingForm } from './BattingForm.tsx';
import { MOST_BATTERS, orderOf, viewOf, type Spot } from './lineup.ts';
import { useOrder } from './orderStore.ts';
import './OddsPage.scss';
import { OddsTabs } from './OddsTabs.tsx';
import { useBatting } from './useBatting.ts';
import { gainText, neededText } from './words.ts';

/** Reckoned again only when the order, somebody's season or the level changes. */
const viewKept = keepLast(viewOf);

/** Who bats when: runs of a game by the order, and where in it each tactic pays. */
export function LineupPage() {
  useTitle('Line-up');
  const team = useTeam();
  const people = usePeople(team.id);
  const batting = useBatting(team.id);
  const { lineup } = usePlaying(team.id);
  const { ids, setIds } = useOrder(team.id);
  const [changing, setChanging] = useState<Person | null>(null);
  const level = PLAY_LEVELS[team.level];
  const order = orderOf(ids, lineup.runners);
  const view = viewKept(team.id, order, batting.all, level, team.ruleset.innings);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const failure = people.error ?? batting.error;
  if (failure) return <Failure error={failure} retry={batting.retry} />;
  if (people.isLoading || batting.isLoading) return <Loading what="the line-up" />;

  const current = order.map(({ id }) => id);
  const change = (next: PersonId[], words: string): void => {
    setIds(next);
    notify(words, () => {
      setIds(current);
    });
  };
  const bench = lineup.runners.filter(({ id }) => !current.includes(id));
  return (
    <>
      <div className="page-head">
        <h1>Line-up</h1>
        <OddsTabs />
      </div>
      {order.length === 0 ? (
        <Empty title="Your roster is empty.">
          <Link className="btn btn-primary" to={`/teams/${team.id}/people`}>
            Add players
          </Link>
        </Empty>
      ) : (
        <>
          <p className="lineup-runs" role="status">
            <strong className="figure">{view.perGame.toFixed(2)}</strong> runs a game of{' '}
            {team.ruleset.innings} innings against average pitching
          </p>
          <DndContext
            sensors={sensors}
            collisionDetection={closestCenter}
            onDragEnd={({ active, over }) => {
              if (!over || active.id === over.id) return;
              const from = current.indexOf(active.id as PersonId);
              const to = current.indexOf(over.id as PersonId);
              change(arrayMove(current, from, to), 'Order changed');
            }}
          >
            <SortableContext items={current} strategy={verticalListSortingStrategy}>
              <ol className="lineup card-box">
                {view.spots.map((spot, index) => (
                  <Batter
                    key={spot.person.id}
                    spot={spot}
                    nth={index + 1}
                    onChange={() => {
                      setChanging(spot.person);
                    }}
                    onLeave={() => {
                      change(
                        current.filter((id) => id !== spot.person.id),
                        `${spot.person.name} is off the line-up`,
                      );
                    }}
                  />
                ))}
              </ol>
            </SortableContext>
          </DndContext>
          {bench.length > 0 && order.length < MOST_BATTERS && (
            <PickOne
              label="Bring in"
              value=""
              options={[
                { value: '', text: 'Choose' },
                ...bench.map((person) => ({ value: person.id, text: personLabel(person) })),
              ]}
              onChange={(id) => {
                if (id !== '') setIds([...current, id as PersonId]);
              }}
            />
          )}
          <p className="quiet odds-note">
            Drag by the handle, or pick it up with Space and move it by the arrow keys. His own
            rates weigh against the level as his plate appearances against 120. A sacrifice is with
            a runner on first and nobody out, for an average bunter; a steal of second needs what is
            said with him up. Both by runs.
          </p>
        </>
      )}
      {changing && (
        <BattingForm
          person={changing}
          batting={batting}
          onClose={() => {
            setChanging(null);
          }}
        />
      )}
    </>
  );
}

function Batter({
  spot: { person, ownShare, leadingOff, buntGain, stealNeeds },
  nth,
  onChange,
  onLeave,
}: {
  spot: Spot;
  nth: number;
  onChange: () => void;
  onLeave: () => void;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } =
    useSortable({ id: person.id });
  return (
    <li
      ref={setNodeRef}
      className={isDragging ? 'lineup-moving' : undefined}
      style={
        transform ? { transform: `translateY(${String(Math.round(transform.y))}px)` } : undefined
      }
    >
      <button
        type="button"
        className="lineup-handle"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move ${person.name}, batting ${String(nth)}`}
      >
        <GripVertical size={20} aria-hidden="true" />
      </button>
      <span className="figure lineup-nth">{nth}</span>
      <button type="button" className="lineup-name" onClick={onChange}>
        {personLabel(person)}
        <small>
          {ownShare > 0 ? `${percent(ownShare)} his own` : 'the level’s rates: enter his season'}
        </small>
      </button>
      <span className="lineup-facts">
        <span className="lineup-fact">
          <small>leading off</small>
          <strong className="figure">{leadingOff.toFixed(2)}</strong>
        </span>
        <span className="lineup-fact">
          <small>sacrifice</small>
          <strong className="figure">{gainText(buntGain, 'runs')}</strong>
        </span>
        <span className="lineup-fact">
          <small>steal needs</small>
          <strong className="figure">{neededText(stealNeeds)}</strong>
        </span>
      </span>
      <Button variant="link" aria-label={`Take ${person.name} off the line-up`} onClick={onLeave}>
        <X size={18} aria-hidden="true" />
      </Button>
    </li>
  );
}
