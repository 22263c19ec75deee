import { planGrounder } from '@bradyon/core/bases';
import type { ContactShares } from '@bradyon/core/innings';
import { How } from '../../ui/index.ts';
import { BasesPage } from './BasesPage.tsx';
import type { BasesInView } from './useBases.ts';

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

type Setting = 'in' | 'corners' | 'back';
const SETTING_TEXT: Record<Setting, string> = {
  in: 'Infield in',
  corners: 'Corners in',
  back: 'Infield back',
};

/** Corners in: half of the balls are played as if all were in. */
function between(a: ContactShares, b: ContactShares): ContactShares {
  return {
    through: (a.through + b.through) / 2,
    outAtHome: (a.outAtHome + b.outAtHome) / 2,
    conceded: (a.conceded + b.conceded) / 2,
    scoresIfHolding: (a.scoresIfHolding + b.scoresIfHolding) / 2,
  };
}

function Ground({ view }: { view: BasesInView }) {
  const { odds, situation, value } = view;
  const outs = situation.outs === 1 ? 1 : 0;
  const { contact } = odds.level;
  const shares: Record<Setting, ContactShares> = {
    in: contact.in,
    corners: between(contact.in, contact.back),
    back: contact.back,
  };
  const run = value(4, outs, 1, 0) - value(4, outs, 0, 0);
  const points = (size: number): string =>
    situation.by === 'runs'
      ? `${size.toFixed(2).replace(/^0/, '')} runs`
      : `${(size * 100).toFixed(1)} points`;
  const rows = (['in', 'corners', 'back'] as const).map((setting) => {
    const plan = planGrounder(outs, shares[setting], value);
    const gain = plan.go - plan.wait;
    const call =
      Math.abs(gain) <= CLOSE_RUNS * run ? 'Close' : gain > 0 ? 'Go on contact' : 'See it through';
    return { setting, plan, gain, call, read: plan.read - Math.max(plan.go, plan.wait) };
  });
  return (
    <div className="bases-two">
      <section className="card-box">
        <h2>Runner on third, ball on the ground</h2>
        <table className="bases-table">
          <thead>
            <tr>
              <th scope="col">They play</th>
              <th scope="col">Call</th>
              <th scope="col">Worth</th>
              <th scope="col">A good read adds</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ setting, gain, call, read }) => (
              <tr key={setting}>
                <th scope="row">{SETTING_TEXT[setting]}</th>
                <td>
                  <strong>{call}</strong>
                </td>
                <td className="figure">{points(Math.abs(gain))}</td>
                <td className="figure">{points(Math.max(0, read))}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="quiet bases-note">
          For a runner alone on third. A good read is right four times in five.
        </p>
      </section>
      <div className="bases-side">
        <section className="card-box">
          <h2>First and third, one out</h2>
          <p>
            Runner from first: never be tagged between the bases on the double play. Stop, and make
            them throw. The run counts if it scores before that tag, not if the force is the third
            out.
          </p>
          <p>Runner from third: go on the throw to second.</p>
        </section>
        <section className="card-box">
          <h2>At third, every pitch</h2>
          <p>Walk off in foul ground, come back in fair ground. Ball in the dirt: read it down.</p>
          <How>
            <p>
              How often a ball gets through, is thrown home or is given up is under Odds, Rates, and
              yours to change. Runs and wins come from your lineup.
            </p>
          </How>
        </section>
      </div>
    </div>
  );
}
/** Nearer than this in runs is too close to call. */
const CLOSE_RUNS = 0.02;
