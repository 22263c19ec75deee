import {
  baseOut,
  THIRD,
  type Action,
  type BaseOut,
  type StealChances,
} from '@bradyon/core/innings';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import {
  Choice,
  Failure,
  How,
  Loading,
  percent,
  PickOne,
  Sheet,
  Stepper,
  useTitle,
  type Paper,
} from '../../ui/index.ts';
import { CatcherSelect, FacingSelect, personLabel, PitcherSelect } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { bestAt, MOST_LEAD, type Best, type BestTable } from './best.ts';
import { halfOf } from './game.ts';
import { inWorker } from './heavy.ts';
import { BASES_IN_ORDER, BASES_TEXT } from './maps.ts';
import './OddsPage.scss';
import { OddsTabs } from './OddsTabs.tsx';
import type { Batter } from './sides.ts';
import { useGame, type GameInView } from './useGame.ts';
import { useStealChances } from './useStealChances.ts';

const LEADS = [-3, -2, -1, 0, 1, 2];
/** Less than this much chance to win is within the doubt of the inputs. */
const DOUBT = 0.005;
const ACTION_TEXT: Record<Action, string> = {
  swing: '',
  bunt: 'bunt',
  steal2: 'steal 2nd',
  steal3: 'steal 3rd',
  double: 'double',
};
/** Nine columns have no room for more. */
const SHORT_TEXT: Record<Action, string> = {
  swing: '',
  bunt: 'bunt',
  steal2: '2nd',
  steal3: '3rd',
  double: 'both',
};

/** The best choice in each state of bases and outs, by score or by who is up: a card for the bench. */
export function BestPage() {
  useTitle('Best choices');
  const view = useGame();
  if (view.error) return <Failure error={view.error} retry={view.retry} />;
  if (view.isLoading) return <Loading what="the line-up" />;
  return <Choices view={view} />;
}

type Columns = 'leads' | 'batters';

function Choices({ view }: { view: GameInView }) {
  const team = useTeam();
  const { game, situation, set, order, up, level } = view;
  const [columns, setColumns] = useState<Columns>('leads');
  const own = useStealChances(order);
  // One average batter stands for all where nobody's season is known: so do the legs.
  const isLineup = game.ours.length > 1;
  const steals = isLineup ? own : own && [averageOf(own)];
  const asked = {
    game: {
      level: game.level,
      rules: game.rules,
      ours: game.ours,
      theirs: game.theirs,
    },
    weAreHome: situation.half === 'bottom',
    bunts: isLineup ? order.map(({ bunt }) => bunt) : [level.bunt],
    steals: steals ?? [],
  };
  const best = useQuery({
    queryKey: ['best', team.id, asked],
    queryFn: () => inWorker().bestChoices(asked),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 10 * 60_000,
    networkMode: 'always',
    structuralSharing: false,
    meta: { onlyHere: true },
  });
  return (
    <>
      <div className="page-head">
        <h1>Best choices</h1>
        <OddsTabs />
      </div>
      <div className="best-set no-print">
        <Choice
          label="We bat in the"
          value={situation.half}
          options={[
            { value: 'top', text: 'Top' },
            { value: 'bottom', text: 'Bottom' },
          ]}
          onChange={(half) => {
            set({ half });
          }}
        />
        <Stepper
          label="Inning"
          value={situation.inning}
          step={1}
          min={1}
          max={team.ruleset.innings}
          text={String}
          onChange={(inning) => {
            set({ inning });
          }}
        />
        <Choice
          label="Side by side"
          value={columns}
          options={[
            { value: 'leads', text: 'Scores' },
            { value: 'batters', text: 'Batters' },
          ]}
          onChange={setColumns}
        />
        {columns === 'leads' && isLineup ? (
          <PickOne
            label="Up"
            value={String(situation.spot % order.length)}
            options={order.map(({ person }, index) => ({
              value: String(index),
              text: `${String(index + 1)}. ${personLabel(person)}`,
            }))}
            onChange={(spot) => {
              set({ spot: Number(spot) });
            }}
          />
        ) : (
          columns === 'batters' && (
            <Stepper
              label="Our lead"
              value={situation.lead}
              step={1}
              min={-MOST_LEAD}
              max={MOST_LEAD}
              text={leadText}
              onChange={(lead) => {
                set({ lead });
              }}
            />
          )
        )}
        <FacingSelect />
        <PitcherSelect label="Pitcher" />
        <CatcherSelect label="Catcher" />
      </div>
      {best.error ? (
        <Failure error={best.error} retry={() => void best.refetch()} />
      ) : best.data ? (
        <Sheet title="Best choices">
          {(paper) => (
            <Card
              paper={paper}
              view={view}
              best={best.data}
              columns={columns}
              steals={steals}
              up={isLineup ? up : null}
            />
          )}
        </Sheet>
      ) : (
        <Loading what="the best choices" />
      )}
      <How>
        <p>
          In every state, inning and score each thing that may be done is taken with what follows
          when the best is done afterwards, by both sides; the one that wins most often stands here.
          Runners go with their own chances against this pitcher and catcher, as Steal has them, the
          one who bats before being on base; batters bunt with their own sacrifices. A bunt with a
          runner on third is a squeeze. In brackets: worth less than half a point above swinging,
          which is within the doubt.
        </p>
      </How>
    </>
  );
}

function Card({
  view: { game, situation, order, theirs, level },
  best,
  paper,
  columns,
  steals,
  up,
}: {
  view: GameInView;
  best: BestTable;
  paper: Paper;
  columns: Columns;
  steals: StealChances[] | null;
  up: Batter | null;
}) {
  const team = useTeam();
  const { inning, spot, lead } = situation;
  const texts = columns === 'leads' ? ACTION_TEXT : SHORT_TEXT;
  const at = (where: { lead: number; spot: number }) => (state: BaseOut) =>
    bestAt(best, { inning, state, ...where });
  const shown =
    columns === 'leads'
      ? LEADS.map((each) => ({ name: leadText(each), choose: at({ lead: each, spot }) }))
      : game.ours.map((_, nth) => ({
          name: game.ours.length === 1 ? 'anybody' : nameOf(order[nth], paper),
          choose: at({ lead, spot: nth }),
        }));
  return (
    <>
      <h2>
        {team.name}: {halfOf({ ...situation, batting: 'we' })} of inning {situation.inning}
        {columns === 'leads'
          ? up
            ? `, ${up.person.name} up`
            : ''
          : `, ${leadText(situation.lead)}`}
      </h2>
      <p>
        Against {theirs.name}. Empty: swing away.
        {columns === 'batters' && ' 2nd, 3rd: steal it; both: double steal.'} In brackets: hardly
        matters.
      </p>
      <table className={columns === 'leads' ? 'best-table' : 'best-table best-narrow'}>
        <thead>
          <tr>
            <th scope="col">Bases</th>
            <th scope="col">Out</th>
            {shown.map(({ name }, index) => (
              <th key={index} scope="col">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {BASES_IN_ORDER.flatMap((bases) =>
            [0, 1, 2].map((outs) => (
              <tr key={`${String(bases)} ${String(outs)}`}>
                <th scope="row">
                  <span className={outs === 0 ? undefined : 'visually-hidden'}>
                    {BASES_TEXT[bases]}
                  </span>
                </th>
                <td>{outs}</td>
                {shown.map(({ choose }, index) => (
                  <td key={index}>{choiceText(choose(baseOut(bases, outs)), bases, texts)}</td>
                ))}
              </tr>
            )),
          )}
          {columns === 'batters' && steals?.length === shown.length && (
            <tr>
              <th scope="row" colSpan={2}>
                Safe at 2nd / 3rd
              </th>
              {steals.map(({ second, third }, index) => (
                <td key={index}>
                  {Math.round(second * 100)} / {Math.round(third * 100)}
                </td>
              ))}
            </tr>
          )}
        </tbody>
      </table>
      <p>
        <small>
          {steals === null
            ? `Runners as safe as usual at the level, ${percent(level.advance.stealSecondSafe)} at second. `
            : columns === 'leads'
              ? `On base before him: safe ${percent(steals[situation.spot % steals.length]?.second ?? 0)} at second, ${percent(steals[situation.spot % steals.length]?.third ?? 0)} at third. `
              : ''}
          A ranking, not a forecast: a defence that does not answer, and the batter before taken to
          be the one on base. {level.note}
        </small>
      </p>
    </>
  );
}

function averageOf(all: readonly StealChances[]): StealChances {
  const mean = (key: keyof StealChances) =>
    all.reduce((sum, chances) => sum + chances[key], 0) / all.length;
  return { second: mean('second'), third: mean('third'), double: mean('double') };
}

/** A surname is enough on a card, and in the pocket the number. */
function nameOf(batter: Batter | undefined, paper: Paper): string {
  const { name = '', number = '' } = batter?.person ?? {};
  const surname = name.split(' ').at(-1) ?? '';
  if (paper !== 'pocket') return surname;
  return number === '' ? surname.slice(0, 4) : `#${number}`;
}

function choiceText(best: Best, bases: number, texts: Record<Action, string>): string {
  if (best.action === 'swing') return '';
  const text = best.action === 'bunt' && bases & THIRD ? 'squeeze' : texts[best.action];
  return best.gain < DOUBT ? `(${text})` : text;
}

function leadText(lead: number): string {
  if (lead === 0) return 'tied';
  return `${String(Math.abs(lead))} ${lead > 0 ? 'ahead' : 'behind'}`;
}
