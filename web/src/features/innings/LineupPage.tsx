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
  useTitle('Line-up');
  const team = useTeam();
  const view = useOdds();
  const batting = useBatting(team.id);
  const { setIds } = useOrder(team.id);
  const { onField } = usePlaying(team.id);
  const [changing, setChanging] = useState<Person | null>(null);
  if (view.error) return <Failure error={view.error} retry={view.retry} />;
  if (view.isLoading) return <Loading what="the line-up" />;

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
            <strong className="figure">{game.tables.ours.perGame.toFixed(2)}</strong> runs a game of{' '}
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
                `${person.name} is off the line-up`,
              );
            }}
          />
          {bench.length > 0 && order.length < MOST_BATTERS && (
            <div className="lineup-more">
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
            </div>
          )}
          <How>
            <p>
              Drag by the handle, or pick a batter up with Space and move him by the arrow keys.{' '}
              {WEIGHT_WORDS} All nine together are {percent(together.ownShare)} their own. A
              sacrifice is his, with a runner on first and nobody out; a steal of second needs what
              is said with him up. Both by runs, with whoever bats after him.
            </p>
          </How>
        </>
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
    <section className="card-box lineup-theirs" aria-label="Who bats against us">
      <div className="odds-maps-head">
        <h2>Who bats against us</h2>
        <FacingSelect />
      </div>
      <p>
        <strong className="figure">{game.tables.theirs.perGame.toFixed(2)}</strong> runs a game
        {theirs.known > 0
          ? `: ${String(theirs.plateAppearances)} times up are known, ${percent(theirs.ownShare)} their own.`
          : ', as an average team: enter their seasons, or bring in a file.'}{' '}
        <Link to={`/teams/${id}/files?in=seasons`}>Bring in seasons</Link>
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
          Their batters&rsquo; seasons are added up and bat as one, one after the other.{' '}
          {WEIGHT_WORDS} The runs are those of a full game against average pitching.
        </p>
      </How>
    </section>
  );
}
