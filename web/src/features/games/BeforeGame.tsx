import { plainContext } from '@bradyon/core/timing';
import { Link } from 'react-router';
import { personLabel } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useNow, useTimes } from '../timing/index.ts';
import type { Desk } from './useDesk.ts';
import { useGame } from './useGame.ts';

const OLD_DAYS = 28;
const MS_PER_DAY = 86_400_000;
const ENOUGH = 3;

/** What is still missing before the first pitch, each with the way to it. */
export function BeforeGame({ desk }: { desk: Desk }) {
  const team = useTeam();
  const times = useTimes(team);
  const { situation, theirs, person, ours } = useGame();
  const nowMs = useNow();
  const isRelease = plainContext(team.ruleset.leadRule === 'open' ? 'delivery' : 'flight').kind;
  const timedOf = (id: string | null | undefined, kind: string) =>
    times
      .readingsOf((id ?? undefined) as never)
      .filter((each) => each.kind === kind && each.asideReason === null);
  const recent = ({ takenAt }: { takenAt: string }): boolean =>
    Date.parse(takenAt) > nowMs - OLD_DAYS * MS_PER_DAY;
  const starter = situation.defence[theirs]['P'];
  const catcher = situation.defence[theirs]['C'];
  const outfield = (['LF', 'CF', 'RF'] as const).filter(
    (pos) => timedOf(situation.defence[theirs][pos], 'outfieldThrow').length === 0,
  );
  const untimed = situation.order[ours].filter((id) => timedOf(id, 'steal').length === 0);
  const named = (id: string | null | undefined): string => {
    const found = person((id ?? null) as never);
    return found ? personLabel(found) : 'their starter';
  };
  const lacks = [
    {
      is: timedOf(starter, isRelease).length < ENOUGH,
      words: `Time ${named(starter)} from the stretch.`,
      to: 'timing',
    },
    {
      is: timedOf(catcher, 'pop').filter(recent).length === 0,
      words: `Time ${named(catcher)}’s throws between innings.`,
      to: 'timing?watch=innings',
    },
    {
      is: outfield.length > 0,
      words: `Watch their arms: ${outfield.join(', ')}.`,
      to: 'timing?watch=outfield',
    },
    {
      is: untimed.length > 0,
      words: `${String(untimed.length)} of our lineup have no steal time.`,
      to: 'timing?watch=runners',
    },
  ].filter(({ is }) => is);
  return (
    <section className="before-game" aria-label="Before the first pitch">
      <h2>Before the first pitch</h2>
      {lacks.length === 0 || !desk.isReady ? (
        <p className="quiet">Everybody who matters is timed.</p>
      ) : (
        <ul>
          {lacks.map(({ words, to }) => (
            <li key={to}>
              <Link to={`/teams/${team.id}/${to}`}>{words}</Link>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
