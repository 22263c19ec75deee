import { type BuntPlay, type HitDepth, type Strikes } from '@bradyon/core/bunts';
import { useQueries } from '@tanstack/react-query';
import { Choice, distance, Failure, How, Loading, percent } from '../../ui/index.ts';
import { BuntPage } from './BuntPage.tsx';
import { useBuntDraft } from './buntStore.ts';
import { inBuntWorker } from './heavy.ts';
import { KEPT, type BuntInView } from './useBunt.ts';
import { signedText } from './words.ts';

/** From how deep a corner on a bunt for a hit pays. */
export function HitPage() {
  return (
    <BuntPage title="Bunt for a hit" plays={false}>
      {(view) => <Hit view={view} />}
    </BuntPage>
  );
}

const COUNTS: readonly Strikes[] = [0, 1, 2];
const COUNT_TEXT = ['No strikes', 'One strike', 'Two strikes'] as const;

function Hit({ view }: { view: BuntInView }) {
  const isSoftball = view.team.ruleset.sport === 'softball';
  const maySlap = view.plays.includes('slap');
  const play: BuntPlay = view.draft.play === 'slap' && maySlap ? 'slap' : 'hit';
  const asked = { ...view.asked, play, skill: view.skillFor(view.odds.up?.person.id, play) };
  const { strikes: _strikes, ...same } = asked;
  const key = JSON.stringify(same);
  const found = useQueries({
    queries: COUNTS.map((strikes) => ({
      queryKey: ['bunt hit', key, strikes],
      queryFn: () => inBuntWorker((heavy) => heavy.hit(asked, strikes)),
      ...KEPT,
    })),
  });
  const failed = found.find(({ error }) => error);
  if (failed?.error) return <Failure error={failed.error} retry={() => void failed.refetch()} />;
  const now = found[view.question.strikes]?.data;
  if (!now) return <Loading what="the depths" />;
  const name = view.odds.up?.person.name ?? 'A typical batter';
  return (
    <div className="bunt-two">
      <section className="card-box">
        {maySlap && (
          <Choice
            label="How"
            value={play}
            options={[
              { value: 'hit', text: 'Drag' },
              { value: 'slap', text: 'Slap' },
            ]}
            onChange={(chosen) => {
              useBuntDraft.setState({ play: chosen });
            }}
          />
        )}
        <h2>Third baseman&rsquo;s depth</h2>
        <Depths view={view} found={now} />
        <p className="quiet bunt-legend">
          Depth is along the line: in front of the bag, or behind it. Best spot for each depth.
        </p>
      </section>
      <div className="bunt-side">
        <section className="card-box bunt-answer">
          <p className={pays(now) ? 'bunt-call' : 'bunt-call bunt-call-quiet'}>{depthText(now)}</p>
          <p className="bunt-why" role="status">
            {name}: {whyText(now)}
          </p>
          <table className="bunt-table">
            <tbody>
              {COUNTS.map((strikes) => {
                const each = found[strikes]?.data;
                return (
                  <tr
                    key={strikes}
                    className={strikes === view.question.strikes ? 'bunt-best' : ''}
                  >
                    <th scope="row">{COUNT_TEXT[strikes]}</th>
                    <td>{each ? depthText(each) : '…'}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </section>
        <section className="card-box">
          <p>
            Down the third line against a deep third baseman is what these numbers support. Push and
            slap are not: they do not know how a fielder plays a hard grounder through a gap.
          </p>
          {isSoftball && <p className="quiet">Softball: too generous. Good for the order only.</p>}
          <How>
            <p>
              Rolls end at {distance(60)}: harder than that is a grounder. A batter on the move aims
              half as well again as one who squares.
            </p>
          </How>
        </section>
      </div>
    </div>
  );
}

function pays({ steps, paysFrom }: HitDepth): boolean {
  return paysFrom !== null || (steps[0]?.gain ?? 0) > 0;
}

/** From which depth on. @example 'From 6 ft behind the bag' */
function depthText({ steps, paysFrom }: HitDepth): string {
  if (paysFrom === null) return (steps[0]?.gain ?? 0) > 0 ? 'At any depth' : 'Swing away';
  if (Math.abs(paysFrom) < 1) return 'From even with the bag';
  return `From ${distance(Math.abs(Math.round(paysFrom)))} ${paysFrom > 0 ? 'behind' : 'in front of'} the bag`;
}

function whyText(found: HitDepth): string {
  if (found.paysFrom !== null) return 'bunt when the third baseman plays that deep or deeper.';
  return pays(found)
    ? 'the bunt is better than swinging at every depth shown.'
    : 'swinging is better, however deep the third baseman plays.';
}

function Depths({ view, found }: { view: BuntInView; found: HitDepth }) {
  return (
    <table className="bunt-table">
      <thead>
        <tr>
          <th scope="col">Third baseman</th>
          <th scope="col">Safe if fair</th>
          <th scope="col">{view.situation.by === 'runs' ? 'Runs' : 'Points'} over swinging</th>
        </tr>
      </thead>
      <tbody>
        {found.steps.map(({ feet, gain, safe }) => (
          <tr key={feet} className={gain > 0 ? 'bunt-best' : undefined}>
            <th scope="row">
              {feet === 0
                ? 'even with the bag'
                : `${distance(Math.abs(feet))} ${feet > 0 ? 'behind' : 'in front'}`}
            </th>
            <td className="figure">{percent(safe)}</td>
            <td className="figure">{signedText(gain, view.situation.by)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
