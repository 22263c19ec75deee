import type { Person } from '@bradyon/core/people';
import { TARGET_BASES } from '@bradyon/core/units';
import { Link, useNavigate, useSearchParams } from 'react-router';
import {
  Choice,
  Empty,
  Failure,
  Folded,
  Loading,
  percent,
  PickOne,
  seconds,
  Stepper,
  useTitle,
} from '../../ui/index.ts';
import {
  CatcherSelect,
  FacingSelect,
  handWord,
  lastName,
  orTypical,
  RunnerSelect,
  usePeople,
} from '../people/index.ts';
import {
  arrange,
  mostUnsettled,
  SHOWS,
  SORTS,
  type BoardRow,
  type Show,
  type Sort,
} from './board.ts';
import './BoardPage.scss';
import { BoardTable } from './BoardTable.tsx';
import { DeliveryChoice } from './DeliveryChoice.tsx';
import { StealTabs } from './StealTabs.tsx';
import { useBoard } from './useBoard.ts';
import { BASE_TEXT, STYLE_TEXT, VERDICT_NOTES } from './words.ts';

const SORT_TEXT: Record<Sort, string> = {
  number: 'Number',
  name: 'Name',
  run: 'Quickest',
  chance: 'Best chance',
};
const SHOW_TEXT: Record<Show, string> = { all: 'Everybody', go: 'Go', near: 'Go and close' };

/** Who can go on whom: verdict, chance, seconds to spare and threshold of every race at once. */
export function BoardPage() {
  useTitle('Steal board');
  const board = useBoard();
  const { opponents } = usePeople(board.team.id);
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const view = query.get('view') === 'runner' ? 'runner' : 'team';
  const sort = SORTS.find((each) => each === query.get('sort')) ?? 'number';
  const show = SHOWS.find((each) => each === query.get('show')) ?? 'all';
  const set = (key: string, value: string): void => {
    setQuery(
      (before) => {
        before.set(key, value);
        return before;
      },
      { replace: true },
    );
  };
  if (board.error) return <Failure error={board.error} retry={board.retry} />;
  if (board.isLoading) return <Loading what="your times" />;

  const { team, onField, playing, pick, pitchers, catchers } = board;
  const { runner } = onField;
  const ofOne = view === 'runner' && runner !== null;
  const columns = ofOne ? catchers : pitchers;
  const all = ofOne ? board.againstBatteries(runner) : board.againstPitchers();
  const column = ofOne ? -1 : pitchers.findIndex(({ id }) => id === onField.pitcher?.id);
  // Pitchers are sorted by name or chance only: the run is the same against all of them.
  const rows = arrange(all, {
    sort,
    show,
    column: sort === 'chance' || show !== 'all' ? column : -1,
  });
  const open = (row: BoardRow, at: number): void => {
    const other = columns[at];
    pick(
      ofOne
        ? { facing: onField.facing, pitcherId: row.person.id, catcherId: other?.id ?? null }
        : { facing: onField.facing, runnerId: row.person.id, pitcherId: other?.id ?? null },
    );
    void navigate(`/teams/${team.id}/steals`);
  };

  const them = opponents.find(({ id }) => id === onField.facing)?.name ?? 'practice';
  const chosen = [
    ofOne
      ? `${lastName(runner)} vs ${them}`
      : `${them}, ${lastName(orTypical(onField.catcher, 'catcher'))} catching`,
    BASE_TEXT[playing.base].toLowerCase(),
    ...(team.ruleset.leadRule === 'open' ? [STYLE_TEXT[playing.style].toLowerCase()] : []),
  ].join(', ');
  return (
    <>
      <div className="page-head">
        <div>
          <h1>Who can go</h1>
          <p className="quiet">
            A steal needs {percent(board.here.needed)}
            {board.here.from === 'situation' ? `: ${board.here.words}` : ', your rule'}.{' '}
            <Link to={`/teams/${team.id}/innings`}>Why</Link>
          </p>
        </div>
        <StealTabs />
      </div>
      <Folded chosen={chosen}>
        <div className="control-row board-choices">
          <Choice
            label="View"
            value={view}
            options={[
              { value: 'team', text: 'All runners' },
              { value: 'runner', text: 'One runner' },
            ]}
            onChange={(value) => {
              set('view', value);
            }}
          />
          <Choice
            label="Base"
            value={playing.base}
            options={TARGET_BASES.map((value) => ({ value, text: BASE_TEXT[value] }))}
            onChange={(base) => {
              pick({ base });
            }}
          />
          <DeliveryChoice />
          <FacingSelect />
          {ofOne ? <RunnerSelect /> : <CatcherSelect label="With catcher" />}
          <PickOne
            label="Sort"
            value={sort}
            options={SORTS.filter((each) => !ofOne || each !== 'run').map((value) => ({
              value,
              text: SORT_TEXT[value],
            }))}
            onChange={(value) => {
              set('sort', value);
            }}
          />
          <PickOne
            label="Show"
            value={show}
            options={SHOWS.map((value) => ({ value, text: SHOW_TEXT[value] }))}
            onChange={(value) => {
              set('show', value);
            }}
          />
        </div>
      </Folded>
      {board.kind === null ? (
        <Empty title="Your rules do not allow stealing.">
          <p>If your league does, change it under Team, Rules.</p>
        </Empty>
      ) : columns.length === 0 || all.length === 0 ? (
        <Empty title="Nobody to compare yet.">
          <p>Add your runners, and a pitcher and a catcher for the opponent.</p>
          <Link className="btn btn-primary" to={`/teams/${team.id}/people`}>
            Add players
          </Link>
        </Empty>
      ) : (
        <>
          <BoardTable
            rows={rows}
            corner={ofOne ? 'Pitcher' : 'Runner'}
            columns={columns.map((person, index) => ({
              person,
              note: columnNote(
                board,
                person,
                all[0]?.cells[index]?.pitch?.spread.meanSeconds,
                ofOne,
              ),
              chosen: index === column,
            }))}
            rowNote={({ person, cells }) => rowNote(person, cells[0], ofOne)}
            onChoose={
              ofOne
                ? undefined
                : (person) => {
                    pick({ facing: onField.facing, pitcherId: person.id });
                    board.setSupposed(null);
                  }
            }
            onOpen={open}
          />
          {rows.length === 0 && (
            <p className="board-none quiet">
              Nobody can go. Show everybody to see how close each runner is.
            </p>
          )}
          <BoardFoot board={board} rows={all} ofOne={ofOne} column={column} />
        </>
      )}
    </>
  );
}

type Board = ReturnType<typeof useBoard>;

function columnNote(
  { supposed }: Board,
  person: Person,
  pitchSeconds: number | undefined,
  ofOne: boolean,
): string {
  if (ofOne) return 'catching';
  const figure = pitchSeconds === undefined ? '' : seconds(pitchSeconds);
  return `${handWord(person.throws)} ${figure}${supposed?.pitcherId === person.id ? ', supposed' : ''}`;
}

function rowNote(
  person: Person,
  cell: BoardRow['cells'][number] | undefined,
  ofOne: boolean,
): string {
  if (!cell) return '';
  if (ofOne)
    return `${handWord(person.throws)} ${cell.pitch ? seconds(cell.pitch.spread.meanSeconds) : ''}`;
  return seconds(cell.run.spread.meanSeconds);
}

/** What the marks mean, whom to time, and a delivery to suppose. */
function BoardFoot({
  board,
  rows,
  ofOne,
  column,
}: {
  board: Board;
  rows: readonly BoardRow[];
  ofOne: boolean;
  column: number;
}) {
  const { onField, pitchers, supposed, setSupposed } = board;
  const { pitcher } = onField;
  const unsettled = ofOne ? null : mostUnsettled(pitchers, rows);
  const pitch = rows[0]?.cells[column]?.pitch;
  return (
    <div className="board-foot">
      {!ofOne && pitcher && pitch && (
        <div className="board-suppose">
          <Stepper
            label={`If ${pitcher.name} takes`}
            note={supposed?.pitcherId === pitcher.id ? 'supposed' : 'as timed'}
            value={Math.round(pitch.spread.meanSeconds * 100) / 100}
            step={0.02}
            min={0.3}
            max={2.4}
            text={seconds}
            onChange={(value) => {
              setSupposed({ pitcherId: pitcher.id, seconds: value });
            }}
          />
          {supposed?.pitcherId === pitcher.id && (
            <button
              type="button"
              className="btn btn-link"
              onClick={() => {
                setSupposed(null);
              }}
            >
              As timed
            </button>
          )}
        </div>
      )}
      <p className="quiet">
        <strong>Go</strong> {VERDICT_NOTES.go}. <strong>Close</strong> {VERDICT_NOTES.close}.{' '}
        <strong>Stay</strong> {VERDICT_NOTES.stay}.
      </p>
      {unsettled && (
        <p>
          {unsettled.person.name} has{' '}
          {unsettled.timed === 0 ? 'no' : `only ${String(unsettled.timed)}`} timed. Three more from
          the stretch would help settle {unsettled.cells} of these.
        </p>
      )}
    </div>
  );
}
