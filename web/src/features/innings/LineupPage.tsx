import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  Empty,
  Failure,
  How,
  Loading,
  notify,
  percent,
  PickOne,
  useTitle,
} from '../../ui/index.ts';
import { FacingSelect, personLabel, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { keepLast } from '../timing/index.ts';
import { BattingForm } from './BattingForm.tsx';
import { BattingOrder } from './BattingOrder.tsx';
import { spotsOf } from './lineup.ts';
import { Maps } from './Maps.tsx';
import './OddsPage.scss';
import { OddsTabs } from './OddsTabs.tsx';
import { combinedOf } from './sides.ts';
import { useBatting } from './useBatting.ts';
import { useOdds, type OddsInView } from './useOdds.ts';
import { useOrder } from './useOrder.ts';
import { shareText, WEIGHT_WORDS } from './words.ts';

/** The most who bat in turn, as the server has it too. */
const MOST_BATTERS = 15;

/** Reckoned again only when the order, somebody's season or the level changes. */
const spotsFor = keepLast(spotsOf);

/** Who bats when: runs of a game by the order, and where in it each tactic pays; and who bats against us. */
export function LineupPage() {
  useTitle('Lineup');
  const team = useTeam();
  const view = useOdds({ ofGame: false });
  const batting = useBatting(team.id);
  const { setIds } = useOrder(team.id);
  const { onField } = usePlaying(team.id);
  const [changing, setChanging] = useState<Person | null>(null);
  if (view.error) return <Failure error={view.error} retry={view.retry} />;
  if (view.isLoading) return <Loading what="your lineup" />;

  const { game, order } = view;
  const current = order.map(({ person }) => person.id);
  const change = (next: PersonId[], words: string): void => {
    setIds(next);
    notify(words, () => {
      setIds(current);
    });
  };
  const bench = onField.runners.filter(({ id }) => !current.includes(id));
  const together = combinedOf(order, view.level);
  return (
    <>
      <div className="page-head">
        <h1>Lineup</h1>
        <OddsTabs />
      </div>
      {order.length === 0 ? (
        <Empty title="Your roster is empty.">
          <Link className="btn btn-primary" to={`/teams/${team.id}/people`}>
            Add players
          </Link>
        </Empty>
      ) : (
        // What is shown until the own figures are there is somebody else's, and looks it.
        <div className="lineup-own" aria-busy={!view.isCurrent}>
          <p className="lineup-runs" role="status">
            <strong className="figure">{game.tables.ours.perGame.toFixed(2)}</strong> runs in{' '}
            {team.ruleset.innings} innings against average pitching
          </p>
          <BattingOrder
            spots={spotsFor(team.id, game, order)}
            onMove={(ids) => {
              change(ids, 'Order changed');
            }}
            onChange={setChanging}
            onLeave={(person) => {
              change(
                current.filter((id) => id !== person.id),
                `${person.name} is out of the lineup`,
              );
            }}
          />
          {bench.length > 0 && order.length < MOST_BATTERS && (
            <div className="lineup-more">
              <PickOne
                label="Add"
                value=""
                options={[
                  { value: '', text: 'Choose' },
                  ...bench.map((person) => ({ value: person.id, text: personLabel(person) })),
                ]}
                onChange={(id) => {
                  if (id !== '') setIds([...current, id as PersonId]);
                }}
              />
            </div>
          )}
          <How>
            <p>
              Drag the handle, or press Space and use the arrow keys. {WEIGHT_WORDS} As a lineup,
              your own stats count for {percent(together.ownShare)}. The sacrifice is with a runner
              on first and nobody out. The steal is what stealing second needs with that batter up.
              Both play for runs.
            </p>
          </How>
        </div>
      )}
      <Theirs view={view} onChange={setChanging} />
      <Maps view={view} />
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

/** Their batters, whose seasons added up are their rates. */
function Theirs({
  view: { theirs, game },
  onChange,
}: {
  view: OddsInView;
  onChange: (person: Person) => void;
}) {
  const { id } = useTeam();
  return (
    <section className="card-box lineup-theirs" aria-label="Opponent’s lineup">
      <div className="odds-maps-head">
        <h2>Opponent’s lineup</h2>
        <FacingSelect />
      </div>
      <p>
        <strong className="figure">{game.tables.theirs.perGame.toFixed(2)}</strong> runs a game
        {theirs.known > 0
          ? `: ${String(theirs.plateAppearances)} plate appearances known. They count for ${percent(theirs.ownShare)}.`
          : ', like an average team. Enter their stats or import a file.'}{' '}
        <Link to={`/teams/${id}/files?in=seasons`}>Import stats</Link>
      </p>
      {theirs.batters.length > 0 && (
        <ul>
          {theirs.batters.map((batter) => (
            <li key={batter.person.id}>
              <button
                type="button"
                className="lineup-name"
                onClick={() => {
                  onChange(batter.person);
                }}
              >
                {personLabel(batter.person)}
                <small>{shareText(batter)}</small>
              </button>
            </li>
          ))}
        </ul>
      )}
      <How>
        <p>
          Their stats are added up, and all nine bat like that. {WEIGHT_WORDS} Runs are for a full
          game against average pitching.
        </p>
      </How>
    </section>
  );
}
