import { baseOut, sacrificeFrom, testSayings, type SayingTested } from '@bradyon/core/innings';
import { Failure, Folded, How, Loading, percent, useTitle } from '../../ui/index.ts';
import { AtThePlate } from './AtThePlate.tsx';
import { Gambles } from './Gambles.tsx';
import { atBat, misfitOf, spotUp, valueOf } from './game.ts';
import type { ComponentType, ReactNode } from 'react';
import type { KnownHere } from './plate.ts';
import { Maps } from './Maps.tsx';
import './OddsPage.scss';
import { OddsTabs } from './OddsTabs.tsx';
import { SituationBox } from './SituationBox.tsx';
import { useOdds, type OddsInView } from './useOdds.ts';
import { situationWords } from './situationWords.ts';
import { SAYING_TEXT, sayingWords, sidesText } from './words.ts';

/** What an out, a base and a run are worth here, and what each gamble has to be good for. */
export function OddsPage({
  Known,
}: {
  /** Works out bunts, sends and tags by these people; it stands above this feature and is handed in. */
  Known: ComponentType<{ view: OddsInView; children: (known: KnownHere) => ReactNode }>;
}) {
  useTitle('Odds');
  const view = useOdds();
  if (view.error) return <Failure error={view.error} retry={view.retry} />;
  if (view.isLoading) return <Loading what="your lineup" />;
  return (
    <>
      <div className="page-head">
        <div>
          <h1>What it is worth</h1>
          <p className="quiet">
            {capital(situationWords(view.situation))}. {sidesText(view)}
          </p>
        </div>
        <OddsTabs />
      </div>
      <Folded chosen={chosenText(view)}>
        <SituationBox view={view} />
      </Folded>
      <Known view={view}>
        {(known) => (
          <div className="odds-two">
            <div className="odds-column">
              <Worth view={view} />
              <AtThePlate view={view} known={known} />
            </div>
            <Gambles view={view} known={known} />
          </div>
        )}
      </Known>
      <Sayings view={view} />
      <Maps view={view} />
    </>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What is asked, in a line. */
function chosenText({ situation, up }: OddsInView): string {
  const who = up && situation.batting === 'we' ? `, ${up.person.name} up` : '';
  return capital(situationWords(situation)) + who;
}

function Worth({ view: { game, situation, level } }: { view: OddsInView }) {
  const { bases, outs, batting } = situation;
  const state = baseOut(bases, outs);
  const side = atBat(game, situation);
  const spot = spotUp(game, situation);
  const win = misfitOf(game, situation)
    ? null
    : valueOf(game, { ...situation, by: 'win' })(bases, outs, 0);
  const ours = batting === 'we';
  const figures = [
    ['runs expected', (side.expectancies[spot]?.[state] ?? 0).toFixed(2)],
    ['at least one run', percent(side.scoring[spot]?.[state] ?? 0)],
    ['we win', win === null ? 'over' : percent(ours ? win : 1 - win)],
  ] as const;
  return (
    <section className="card-box" role="status">
      <div className="odds-worth">
        {figures.map(([name, figure]) => (
          <p key={name}>
            <strong className="figure">{figure}</strong> {name}
          </p>
        ))}
      </div>
      <How>
        <p>
          Every plate appearance is taken to come out as often each way as its batter&rsquo;s rates
          say, and runners to go as far as is usual at the level; all ways a half can go from here
          are added up, exactly. That gives the runs expected and the chance of one. The chance to
          win adds up all ways the game can go from there, inning by inning, with your rules.
        </p>
        <p>
          Runs are for the rest of this half inning. {level.note}{' '}
          {ours ? '' : 'They bat, so the runs are theirs. '}
          The defense does not adjust in these numbers.
        </p>
      </How>
    </section>
  );
}

function Sayings({ view: { game, situation, up, level } }: { view: OddsInView }) {
  const ours = situation.batting === 'we';
  const rates = ours ? game.ours[spotUp(game, situation)] : game.theirs;
  const bunt = (ours ? up?.bunt : null) ?? level.bunt;
  // Four down for whoever is at bat.
  const fourDown = { ...situation, lead: ours ? -4 : 4 };
  const tested = testSayings(valueOf(game, situation), valueOf(game, fourDown), (from) =>
    sacrificeFrom(from, bunt, { ...level, rates: rates ?? level.rates }, level.twoStrikeFactor),
  );
  const { stealAllowed, buntAllowed } = game.allowed;
  const isAllowed = ({ saying }: SayingTested) =>
    saying === 'buntHimOver' ? buntAllowed : stealAllowed;
  return (
    <section className="card-box odds-sayings">
      <h2>Old sayings, checked</h2>
      <div className="odds-sayings-all">
        {tested.filter(isAllowed).map((each) => (
          <p key={each.saying} className="odds-saying">
            <strong>{SAYING_TEXT[each.saying]}.</strong>{' '}
            {each.holds ? 'Right here.' : 'Wrong here.'}{' '}
            <span className="quiet">{sayingWords(each, situation.by)}</span>
          </p>
        ))}
      </div>
      <How>
        <p>
          We check each saying at this inning and score, with this batter up. It is right when the
          numbers agree by more than three points.
        </p>
      </How>
    </section>
  );
}
