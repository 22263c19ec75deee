import {
  aimNear,
  aimOfLane,
  ALIGNMENTS,
  lanesFor,
  textbookLane,
  type BuntPlan,
  type PricedAim,
} from '@bradyon/core/bunts';
import { Choice, Failure, How, percent } from '../../ui/index.ts';
import { BuntField } from './BuntField.tsx';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { BuntPage } from './BuntPage.tsx';
import type { AskedBunt } from './bunts.worker.ts';
import { inBuntWorker } from './heavy.ts';
import { useBuntDraft } from './buntStore.ts';
import { KEPT, useBuntPlan, type BuntInView } from './useBunt.ts';
import {
  ALIGNMENT_TEXT,
  fieldedText,
  LANE_TEXT,
  showWords,
  signedText,
  planWords,
  rangeText,
  rollText,
  sayingsHere,
  sizeText,
  textbookWords,
  thrownText,
} from './words.ts';

/** Where to put the ball, and whether to. */
export function PlanPage() {
  return <BuntPage title="Bunt">{(view) => <Plan view={view} />}</BuntPage>;
}

function Plan({ view }: { view: BuntInView }) {
  const { plan, isOld, error, retry } = useBuntPlan(view.asked);
  if (error) return <Failure error={error} retry={retry} />;
  return (
    <div className="bunt-two">
      <section className="card-box bunt-field">
        <Alignments view={view} />
        <BuntField view={view} plan={plan} />
        <p className="quiet bunt-legend">
          Pine: near the best bunt. Clay: far behind it. Inside the line, all are as good. Drag the
          infielders.
        </p>
      </section>
      <div className="bunt-side" aria-busy={plan === null || isOld}>
        {plan ? <Answer view={view} plan={plan} /> : <div className="card-box bunt-wait" />}
      </div>
    </div>
  );
}

function Alignments({ view }: { view: BuntInView }) {
  const { draft, question, team } = view;
  const both = (question.bases & 3) === 3;
  const isMoved = Object.keys(draft.moved).length > 0;
  const { wheel } = question.alignment;
  return (
    <div className="control-row bunt-alignments">
      <Choice
        label="Defense"
        value={isMoved ? 'moved' : view.alignmentName}
        options={[
          ...ALIGNMENTS.filter((name) => name !== 'wheel' || both).map((value) => ({
            value,
            text: ALIGNMENT_TEXT[value],
          })),
          ...(isMoved ? [{ value: 'moved' as const, text: 'Dragged' }] : []),
        ]}
        onChange={(alignment) => {
          if (alignment !== 'moved') {
            useBuntDraft.setState({ alignment, moved: {}, shortToThird: null });
          }
        }}
      />
      {view.isAsTold && <span className="quiet">As told in the game.</span>}
      {both && !wheel && team.ruleset.sport === 'baseball' && (
        <Choice
          label="Shortstop"
          value={question.alignment.shortToThird ? 'third' : 'second'}
          options={[
            { value: 'second', text: 'SS stays' },
            { value: 'third', text: 'SS to third' },
          ]}
          onChange={(to) => {
            useBuntDraft.setState({ shortToThird: to === 'third' });
          }}
        />
      )}
    </div>
  );
}

function Answer({ view, plan }: { view: BuntInView; plan: BuntPlan }) {
  const { question, situation, play } = view;
  const { sport } = question.ruleset;
  const words = planWords(plan, sport, situation.by);
  const lane = textbookLane(play, question.bases, question.alignment);
  const usual = aimNear(plan, aimOfLane(lane, sport));
  const [none, one, two] = plan.byStrikes;
  return (
    <>
      <section className="card-box bunt-answer">
        <p className={words.bunts ? 'bunt-call' : 'bunt-call bunt-call-quiet'}>{words.call}</p>
        <p role="status" className="bunt-why">
          {words.why}
        </p>
        <p className="quiet">
          {textbookWords(lane, usual, plan.best, {
            run: plan.run,
            by: situation.by,
            forced: question.bases !== 0,
          })}
        </p>
      </section>
      <section className="card-box">
        <h2>Where it goes</h2>
        <Lanes view={view} plan={plan} />
      </section>
      <section className="card-box">
        <h2>Who fields it</h2>
        <p>
          {capitalOf(fieldedText(plan.atBest.fieldedBy))}. {thrownText(plan.atBest.thrownTo)}
        </p>
        {view.own.tries > 0 && (
          <p className="quiet">
            {view.odds.up?.person.name}: {view.own.fair} of {view.own.tries} down,{' '}
            {percent(Math.max(view.own.ownShares, view.own.ownAim, view.own.ownPace))} of this is
            their own.
          </p>
        )}
        <p className="quiet">
          {question.strikes === 2
            ? 'With two strikes a foul is an out.'
            : `A foul now costs ${sizeText(Math.max(0, question.strikes === 0 ? none - one : one - two), situation.by)}.`}
        </p>
        <Shows view={view} />
        {sayingsHere(plan, question, situation.by).map(({ saying, found }) => (
          <p key={saying} className="quiet">
            <strong>{saying}</strong> {found}
          </p>
        ))}
        <How>
          <p>
            The ball rolls to a stop on this ground. Each fielder is timed to it, to the throw and
            to the bag; runners are timed by their own runs. Your bunter&rsquo;s misses are counted:
            fouls, pop-ups and balls through the zone.
          </p>
          <p>
            Chances are good to about 8 points
            {sport === 'softball' ? '; in softball, for the order only' : ''}.
          </p>
        </How>
      </section>
    </>
  );
}

/** Show early or late, pivot or square: what the numbers say of it, and what they cannot. */
function Shows({ view: { asked, situation } }: { view: BuntInView }) {
  const key = useDeferredValue(JSON.stringify(asked));
  const { data, error, isPlaceholderData } = useQuery({
    queryKey: ['bunt shows', key],
    queryFn: () => inBuntWorker((heavy) => heavy.shows(JSON.parse(key) as AskedBunt)),
    placeholderData: keepPreviousData,
    ...KEPT,
  });
  // The plan itself says that its worker did not load.
  if (error) return null;
  return (
    <>
      <h2>Show early or late?</h2>
      <p aria-busy={isPlaceholderData}>
        {data ? showWords(data, situation.by) : 'Working it out...'}
      </p>
      <p className="quiet">
        How much sooner the corners start is a guess, and where the pitcher throws then is not in
        it. Pivot or square is not in the numbers: count both under Bunters.
      </p>
    </>
  );
}

function capitalOf(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

interface LaneRow {
  key: string;
  text: string;
  aim: PricedAim;
  isBest: boolean;
}

/** The best aim beside the lanes that coaches name. */
function Lanes({ view, plan }: { view: BuntInView; plan: BuntPlan }) {
  const { question, situation, play } = view;
  const { sport } = question.ruleset;
  const rows: LaneRow[] = [
    { key: 'best', text: `Best, ${rollText(plan.best.rollFeet)}`, aim: plan.best, isBest: true },
    ...lanesFor(play).map((lane) => ({
      key: lane,
      text: LANE_TEXT[lane],
      aim: aimNear(plan, aimOfLane(lane, sport)),
      isBest: false,
    })),
  ].toSorted((a, b) => b.aim.value - a.aim.value);
  const hasLead = question.bases !== 0;
  const isOrder = sport === 'softball';
  const rank = (of: (aim: PricedAim) => number, aim: PricedAim): string =>
    String(1 + rows.filter((row) => of(row.aim) < of(aim) - 0.005).length);
  return (
    <table className="bunt-table">
      <thead>
        <tr>
          <th scope="col">Lane</th>
          {hasLead && <th scope="col">{isOrder ? 'Lead safest' : 'Lead out'}</th>}
          <th scope="col">{isOrder ? 'Batter safest' : 'Batter safe'}</th>
          <th scope="col">{situation.by === 'runs' ? 'Runs' : 'Points'}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, text, aim, isBest }) => (
          <tr key={key} className={isBest ? 'bunt-best' : undefined}>
            <th scope="row">{text}</th>
            {hasLead && (
              <td className="figure">
                {isOrder ? rank((each) => each.leadOut, aim) : rangeText(aim.leadOut)}
              </td>
            )}
            <td className="figure">
              {isOrder ? rank((each) => each.batterOut, aim) : rangeText(1 - aim.batterOut)}
            </td>
            <td className="figure">{signedText(aim.value - plan.swing, situation.by)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
