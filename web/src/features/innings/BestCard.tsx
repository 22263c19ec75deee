import {
  baseOut,
  THIRD,
  type Action,
  type BaseOut,
  type StealChances,
} from '@bradyon/core/innings';
import { percent, type Paper } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { bestAt, type Best, type BestTable } from './best.ts';
import { BASES_IN_ORDER, BASES_TEXT } from './maps.ts';
import type { Batter } from './sides.ts';
import { scoreText } from './situationWords.ts';
import type { OddsInView } from './useOdds.ts';

/** What stands side by side. */
export type Columns = 'leads' | 'batters';

const LEADS = [-3, -2, -1, 0, 1, 2];
/** Less than this much chance to win is too close to call. */
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

/** The card itself: by score with one batter up, or all batters at one score; only where something beats swinging. */
export function BestCard({
  view: { game, situation, order, theirs, level },
  best,
  paper,
  columns,
  steals,
  up,
}: {
  view: OddsInView;
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
      ? LEADS.map((each) => ({ name: scoreText(each), choose: at({ lead: each, spot }) }))
      : game.ours.map((_, nth) => ({
          name: game.ours.length === 1 ? 'anybody' : nameOf(order[nth], paper),
          choose: at({ lead, spot: nth }),
        }));
  const ownChances = columns === 'batters' && steals?.length === shown.length ? steals : null;
  const rows = BASES_IN_ORDER.flatMap((bases) =>
    [0, 1, 2].flatMap((outs) => {
      const cells = shown.map(({ choose }) =>
        choiceText(choose(baseOut(bases, outs)), bases, texts),
      );
      return cells.some((cell) => cell !== '') ? [{ bases, outs, cells }] : [];
    }),
  );
  return (
    <>
      <h2>
        {team.name}: {situation.half} of inning {situation.inning}
        {columns === 'leads'
          ? up
            ? `, ${up.person.name} up`
            : ''
          : `, ${scoreText(situation.lead)}`}
      </h2>
      <p>
        Against {theirs.name}. Anything not listed, and every blank: swing away.
        {columns === 'batters' && ' 2nd, 3rd: steal it; both: double steal.'} In brackets: too close
        to call.
      </p>
      {rows.length === 0 && (
        <p>
          <strong>Nothing beats swinging away here.</strong>
        </p>
      )}
      {(rows.length > 0 || ownChances !== null) && (
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
            {rows.map(({ bases, outs, cells }) => (
              <tr key={`${String(bases)} ${String(outs)}`}>
                <th scope="row">{BASES_TEXT[bases]}</th>
                <td>{outs}</td>
                {cells.map((cell, index) => (
                  <td key={index}>{cell}</td>
                ))}
              </tr>
            ))}
            {ownChances && (
              <tr>
                <th scope="row" colSpan={2}>
                  Safe at 2nd / 3rd
                </th>
                {ownChances.map(({ second, third }, index) => (
                  <td key={index}>
                    {wholePercent(second)} / {wholePercent(third)}
                  </td>
                ))}
              </tr>
            )}
          </tbody>
        </table>
      )}
      <p>
        <small>
          {steals === null
            ? `Runners are safe as often as is typical, ${percent(level.advance.stealSecondSafe)} at second. `
            : columns === 'leads'
              ? `Runner on base ahead: safe ${percent(steals[situation.spot % steals.length]?.second ?? 0)} at second, ${percent(steals[situation.spot % steals.length]?.third ?? 0)} at third. `
              : ''}
          This ranks choices. It assumes the defense does not adjust and the previous batter is on
          base. {level.note}
        </small>
      </p>
    </>
  );
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

/** Without its sign, for want of room; nothing is ever certain. */
function wholePercent(chance: number): number {
  return Math.min(99, Math.round(chance * 100));
}
