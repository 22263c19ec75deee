import { goCard, type GoCard, type Leg, questionOf } from '@bradyon/core/steals';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { Link } from 'react-router';
import {
  Empty,
  Failure,
  Loading,
  percent,
  seconds,
  Sheet,
  useTitle,
  type Paper,
} from '../../ui/index.ts';
import {
  CatcherSelect,
  FacingSelect,
  handWord,
  personLabel,
  PitcherSelect,
  usePeople,
} from '../people/index.ts';
import { useNeeded } from '../innings/index.ts';
import { useTeam } from '../teams/index.ts';
import { NOTHING_SUPPOSED } from './stealStore.ts';
import { StealTabs } from './StealTabs.tsx';
import { judgingOf, kindIn, useSteal } from './useSteal.ts';
import { STYLE_TEXT } from './words.ts';

/** Columns beside the catcher's own pop, by the paper's width. */
const TO_EACH_SIDE: Record<Paper, number> = { letter: 4, a4: 4, pocket: 2 };

/** The go card: per runner the quickest delivery to go on, for each pop. It replaces the screen where none is allowed. */
export function CardPage() {
  useTitle('Go card');
  const { id: teamId } = useTeam();
  const steal = useSteal({ supposing: false });
  if (steal.error) return <Failure error={steal.error} retry={steal.retry} />;
  if (steal.isLoading) return <Loading what="your times" />;
  const { pitcher, catcher, runners } = steal.onField;
  return (
    <>
      <div className="page-head">
        <h1>Go card</h1>
        <StealTabs />
      </div>
      <div className="control-row steal-who no-print">
        <FacingSelect />
        <PitcherSelect label="Pitcher" />
        <CatcherSelect label="Catcher" />
      </div>
      {pitcher && catcher && runners.length > 0 ? (
        <Sheet title="Go card">
          {(paper) => <Card steal={steal} pitcher={pitcher} catcher={catcher} paper={paper} />}
        </Sheet>
      ) : (
        <Empty title="Choose runners, a pitcher and a catcher.">
          <Link className="btn btn-primary" to={`/teams/${teamId}/people`}>
            Add players
          </Link>
        </Empty>
      )}
    </>
  );
}

function Card({
  steal,
  pitcher,
  catcher,
  paper,
}: {
  steal: ReturnType<typeof useSteal>;
  pitcher: Person;
  catcher: Person;
  paper: Paper;
}) {
  const team = useTeam();
  const { opponents } = usePeople(team.id);
  const { playing, times, onField } = steal;
  const { base, style } = playing;
  const { needed, from, words } = useNeeded(base);
  const kind = kindIn(null, team.ruleset, base);
  const judging = judgingOf(needed, NOTHING_SUPPOSED);
  const card =
    kind &&
    goCard<PersonId>(
      onField.runners.map((runner) => ({
        id: runner.id,
        question: questionOf(
          times,
          { pitcher, catcher, runner },
          {
            base,
            kind,
            style,
            batter: null,
            leadFeet: runner.leadFeet,
          },
        ),
      })),
      judging,
      TO_EACH_SIDE[paper],
    );
  const them = opponents.find(({ id }) => id === onField.facing)?.name ?? 'ourselves';
  if (!card) {
    return (
      <p>Under these rules the pitch does not count. Use Steal and look at the throw alone.</p>
    );
  }
  const byId = new Map(onField.runners.map((runner) => [runner.id, runner]));
  const today = new Intl.DateTimeFormat('en', { dateStyle: 'medium' }).format(new Date());
  return (
    <>
      <h2>
        {team.name} on {them}: steal {base}
      </h2>
      <p>
        {pitcher.name}, {handWord(pitcher.throws)}
        {team.ruleset.leadRule === 'open' ? `, ${STYLE_TEXT[style].toLowerCase()}` : ''};{' '}
        {catcher.name} catching. Go if the pitch takes this long or longer. Then the runner is safe{' '}
        {percent(needed)}
        {from === 'situation' ? `, what a steal needs with ${words}` : ''}.
      </p>
      <Table card={card} byId={byId} paper={paper} catcher={catcher} />
      <p>
        <small>
          {today}. Pitch: {restsOn(card.pitch)}; throw: {restsOn(card.pop)}. Every time is rounded
          up. * not timed, typical for the level. The umpire and your league&rsquo;s book decide.
          Slide only as taught.
        </small>
      </p>
    </>
  );
}

function Table({
  card,
  byId,
  paper,
  catcher,
}: {
  card: GoCard<PersonId>;
  byId: ReadonlyMap<PersonId, Person>;
  paper: Paper;
  catcher: Person;
}) {
  const columns = card.rows[0]?.cells ?? [];
  const isOwn = (popSeconds: number): boolean => popSeconds === card.ownPopSeconds;
  return (
    <table>
      <thead>
        <tr>
          <th scope="col">
            Runner and time
            {paper !== 'pocket' && (
              <>
                <br />
                <small>based on</small>
              </>
            )}
          </th>
          {columns.map(({ popSeconds }) => (
            <th
              key={popSeconds}
              scope="col"
              className={isOwn(popSeconds) ? 'sheet-own' : undefined}
            >
              <small>{isOwn(popSeconds) ? catcher.name.split(' ').at(-1) : 'pop'}</small>
              <br />
              {popSeconds.toFixed(2)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {card.rows.map(({ id, run, cells }) => {
          const runner = byId.get(id);
          return (
            <tr key={id}>
              <th scope="row">
                {runner ? personLabel(runner) : ''} {seconds(run.spread.meanSeconds)}
                {run.basis === 'typical' ? ' *' : ''}
                {paper !== 'pocket' && (
                  <>
                    <br />
                    <small>{runWords(run)}</small>
                  </>
                )}
              </th>
              {cells.map(({ popSeconds, slowestSeconds }) => (
                <td key={popSeconds} className={isOwn(popSeconds) ? 'sheet-own' : undefined}>
                  {slowestSeconds === null ? 'any' : slowestSeconds.toFixed(2)}
                </td>
              ))}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function restsOn({ basis, count }: Leg): string {
  if (basis === 'typical') return 'typical for the level *';
  return basis === 'timed' ? `${String(count)} timed` : `from ${String(count)} leg lifts`;
}

function runWords({ basis, count }: Leg): string {
  if (basis === 'typical') return 'not timed';
  return basis === 'timed' ? `${String(count)} steals timed` : `${String(count)} other runs timed`;
}
