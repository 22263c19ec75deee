import { GOOD_READ, INFIELD_DEPTHS, tagPlay, type InfieldDepth } from '@bradyon/core/bases';
import { Failure, How, hundredths, Loading, percent } from '../../ui/index.ts';
import { buntFigures } from '../bunts/index.ts';
import { BasesPage } from './BasesPage.tsx';
import type { BasesInView } from './useBases.ts';
import { useGrounders } from './useGrounders.ts';
import { nameOf } from './words.ts';

/** A ball on the ground with a runner on third. */
export function GroundPage() {
  return (
    <BasesPage title="Grounders">
      {(view) =>
        view.situation.outs === 2 ? (
          <p className="card-box">With two outs everybody runs on contact. Set the outs above.</p>
        ) : (
          <Ground view={view} />
        )
      }
    </BasesPage>
  );
}

const DEPTH_TEXT: Record<InfieldDepth, string> = {
  in: 'Infield in',
  corners: 'Corners in',
  back: 'Infield back',
};

function Ground({ view }: { view: BasesInView }) {
  const { team, odds, situation, value, on, figures, gaitOf } = view;
  const outs = situation.outs === 1 ? 1 : 0;
  const runner = on[3];
  const { plans, isOld, error, retry } = useGrounders(view, {
    runner,
    batter: odds.up?.person,
    value,
  });
  if (error) return <Failure error={error} retry={retry} />;
  if (!plans) return <Loading what="the grounders" />;
  const run = value(4, outs, 1, 0) - value(4, outs, 0, 0);
  const points = (size: number): string =>
    situation.by === 'runs'
      ? `${size.toFixed(2).replace(/^0/, '')} runs`
      : `${(size * 100).toFixed(1)} points`;
  const play = tagPlay({
    ruleset: team.ruleset,
    figures,
    infield: buntFigures(team),
    runner: gaitOf(runner),
  });
  const told = odds.inGame?.infield;
  const rows = INFIELD_DEPTHS.flatMap((depth, nth) => {
    const plan = plans[nth];
    if (!plan) return [];
    const gain = plan.go - plan.wait;
    const call =
      Math.abs(gain) <= CLOSE_RUNS * run ? 'Close' : gain > 0 ? 'Go on contact' : 'See it through';
    const read = plan.read - Math.max(plan.go, plan.wait);
    return [{ depth, plan, gain, call, read, isTold: DEPTH_TOLD[depth].includes(told ?? '') }];
  });
  return (
    <div className="bases-two bases-in-order">
      <section className="card-box" aria-busy={isOld}>
        <h2>{nameOf(runner, 'Runner')} on third, ball on the ground</h2>
        <table className="bases-table">
          <thead>
            <tr>
              <th scope="col">They play</th>
              <th scope="col">Call</th>
              <th scope="col">Worth</th>
              <th scope="col">Thrown home</th>
              <th scope="col">Safe then</th>
              <th scope="col">A good read adds</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ depth, plan, gain, call, read, isTold }) => (
              <tr key={depth}>
                <th scope="row">
                  {DEPTH_TEXT[depth]}
                  {isTold && ', as in the game'}
                </th>
                <td>
                  <strong>{call}</strong>
                </td>
                <td className="figure">{points(Math.abs(gain))}</td>
                <td className="figure">{percent(plan.thrownHome)}</td>
                <td className="figure">{plan.thrownHome > 0 ? percent(plan.safeAtHome) : '–'}</td>
                <td className="figure">{read > LEAST_RUNS * run ? points(read) : 'nothing'}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="quiet bases-note">
          For a runner alone on third. Thrown home: of the balls that are stopped, when the runner
          goes. A good read is right {percent(GOOD_READ)} of the time, and starts later than going
          on contact.
        </p>
      </section>
      <div className="bases-side">
        <section className="card-box">
          <h2>First and third, one out</h2>
          <p>
            Ball to the second baseman: runner from first, stop short of the tag and make them
            throw. Stay alive for{' '}
            <strong className="figure">
              {hundredths(play.homeSeconds - play.gloveSeconds)}
              {'\u00a0'}s
            </strong>{' '}
            after it is in the glove. {nameOf(runner, 'The runner')} from third is home by then.
          </p>
          <p>
            The run counts if it is in before you are the third out. If they tag you and then get
            the batter at first, it does not. A throw to first has the batter{' '}
            <span className="figure">
              {hundredths(play.firstSeconds - play.gloveSeconds)}
              {'\u00a0'}s
            </span>{' '}
            after the glove. From then on they have to tag you.
          </p>
          <p>Runner from third: go on contact, or on the throw to second.</p>
        </section>
        <section className="card-box">
          <h2>At third, every pitch</h2>
          <p>Walk off in foul ground, come back in fair ground. Ball in the dirt: read it down.</p>
          <How>
            <p>
              Grounders of every speed and direction are played against an infield at this depth:
              who gets there, the throw home or to first, and your two runners. The defense takes
              the out that costs it least. Its constants are under Team, Field. It was never checked
              against real plays.
            </p>
          </How>
        </section>
      </div>
    </div>
  );
}
/** What the game calls it when the infield plays so deep. */
const DEPTH_TOLD: Record<InfieldDepth, readonly string[]> = {
  in: ['in'],
  corners: ['cornersIn'],
  back: ['back', 'middleBack'],
};

/** Nearer than this in runs is too close to call. */
const CLOSE_RUNS = 0.02;
/** Less than this in runs would be shown as 0. */
const LEAST_RUNS = 0.005;
