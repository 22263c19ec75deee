import type { ReplaySpot } from '@bradyon/contract/review';
import { scoreReplay, STAY } from '@bradyon/core/review';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { percent, seconds, TapButton, useKeys } from '../../ui/index.ts';
import { inningWords, outsWords } from '../games/index.ts';
import { momentOf, type Decided } from './replaySpots.ts';
import './Review.scss';
import { cameText, clearnessText, optionText, wins } from './words.ts';

/** Who was on and who pitched, where they may be named. */
interface Who {
  runner: string;
  pitcher: string | null;
}

/**
 * The spots of a game one after the other: everybody decides before anybody is told what came of it.
 * @param people who decide in turn; none: one who needs no name
 */
export function ReplayRound({
  spots,
  who = null,
  people = [],
  asksGuess = false,
  isScored,
  onEnd,
}: {
  spots: readonly ReplaySpot[];
  who?: readonly Who[] | null;
  people?: readonly string[];
  asksGuess?: boolean;
  isScored: boolean;
  onEnd: () => void;
}) {
  const inTurn = people.length === 0 ? [''] : people;
  /** By spot, by person. */
  const [decided, setDecided] = useState<Decided[][]>([[]]);
  const nth = decided.length - 1;
  const spot = spots[nth];
  const own = decided[nth] ?? [];
  if (!spot) return <Scores spots={spots} decided={decided} people={people} isScored={isScored} />;
  const person = inTurn[own.length];
  return (
    <Spot
      key={`${String(nth)} ${String(own.length)}`}
      spot={spot}
      who={who?.[nth] ?? null}
      place={`${String(nth + 1)} of ${String(spots.length)}`}
      person={person ?? ''}
      asksGuess={asksGuess}
      told={
        person === undefined ? own.map((each, at) => ({ ...each, by: people[at] ?? '' })) : null
      }
      onDecide={(one) => {
        setDecided([...decided.slice(0, nth), [...own, one]]);
      }}
      onNext={() => {
        setDecided([...decided, []]);
        if (nth + 1 === spots.length) onEnd();
      }}
    />
  );
}

const GUESSES = [10, 20, 30, 40, 50, 60, 70, 80, 90] as const;

function Spot({
  spot,
  who,
  place,
  person,
  asksGuess,
  told,
  onDecide,
  onNext,
}: {
  spot: ReplaySpot;
  who: Who | null;
  place: string;
  person: string;
  asksGuess: boolean;
  /** What everybody decided; null: somebody has yet to. */
  told: (Decided & { by: string })[] | null;
  onDecide: (decided: Decided) => void;
  onNext: () => void;
}) {
  const [guess, setGuess] = useState<number | null>(null);
  const { options } = spot;
  const isGuessed = !asksGuess || guess !== null || told !== null;
  const decide = (chosen: string): void => {
    if (told === null && isGuessed) onDecide({ chosen, guess });
  };
  useKeys({
    s: () => {
      decide(STAY);
    },
    g: () => {
      const [, go] = options;
      if (go) decide(go.name);
    },
  });
  const { pitchSeconds, popSeconds, runSeconds, chance, low, high, base, inning, half } = spot;
  return (
    <section className="card-box review-start">
      <p className="quiet">
        {place}
        {person !== '' && `. ${person} decides.`}
      </p>
      <p className="review-word">
        {inningWords({ inning, half })}. {outsWords(spot.outs)}. {who?.runner ?? 'The runner'} to{' '}
        {base}.
      </p>
      <p>
        {who?.pitcher && `${who.pitcher} pitching. `}
        {pitchSeconds !== null && `To plate ${seconds(pitchSeconds)}. `}
        {popSeconds !== null && `Pop ${seconds(popSeconds)}. `}
        {runSeconds !== null && `Run ${seconds(runSeconds)}.`}
      </p>
      {isGuessed && (
        <p>
          {percent(chance)} safe, {percent(low)} to {percent(high)}.
        </p>
      )}
      {!isGuessed ? (
        <fieldset className="review-guess">
          <legend>How often is the runner safe?</legend>
          {GUESSES.map((percentage) => (
            <Button
              key={percentage}
              variant="outline-primary"
              onClick={() => {
                setGuess(percentage / 100);
              }}
            >
              {percentage}%
            </Button>
          ))}
        </fieldset>
      ) : told === null ? (
        <div className="tap-grid">
          {options.map(({ name: option }) => (
            <TapButton
              key={option}
              className={option === STAY ? 'tap-quiet' : ''}
              onTap={() => {
                decide(option);
              }}
            >
              {option === STAY ? 'Stay' : options.length === 2 ? 'Go' : goText(option)}
            </TapButton>
          ))}
        </div>
      ) : (
        <div role="status">
          {told.map((each, at) => (
            <p key={at} className="review-word">
              {each.by !== '' && `${each.by}: `}
              {judgedText(spot, each.chosen)}
            </p>
          ))}
          <p>
            It needed {percent(spot.need)}. Then:{' '}
            {spot.coach === STAY
              ? 'stayed'
              : `went, ${cameText({ ...spot, done: spot.coach }).toLowerCase()}`}
            .
          </p>
          <Button autoFocus size="lg" onClick={onNext}>
            Next
          </Button>
        </div>
      )}
    </section>
  );
}

/** "Right.", or what it cost and what was better. */
function judgedText({ options, clearness }: ReplaySpot, chosen: string): string {
  const best = options.reduce((most, each) => (each.worth > most.worth + 1e-12 ? each : most));
  const cost = best.worth - (options.find(({ name }) => name === chosen)?.worth ?? 0);
  if (cost <= 1e-12) return 'Right.';
  const size = clearnessText(clearness === 'nothingInIt' ? 'nothingInIt' : 'clear', cost);
  return `${size}: ${optionText(best.name)} was better.`;
}

/** "Hop steal", where there is more than one way to go. */
function goText(option: string): string {
  const text = optionText(option);
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Two people are set side by side from so many spots on. Agreed. */
const LEAST_TO_COMPARE = 20;
const of100 = (score: number | null): string => (score === null ? '' : String(Math.round(score)));

function Scores({
  spots,
  decided,
  people,
  isScored,
}: {
  spots: readonly ReplaySpot[];
  decided: readonly Decided[][];
  people: readonly string[];
  isScored: boolean;
}) {
  const inTurn = people.length === 0 ? [''] : people;
  const found = inTurn.map((person, at) => ({
    person,
    score: scoreReplay(
      spots.flatMap((spot, nth) => {
        const own = decided[nth]?.[at];
        return own ? [momentOf(spot, own)] : [];
      }),
      'win',
    ),
  }));
  const [first] = found;
  if (!isScored || (first?.score.score ?? null) === null || !first) {
    return (
      <section className="card-box review-start">
        <p role="status">
          {isScored ? 'Nothing was at stake in any of these spots.' : 'Played through, not scored.'}
        </p>
      </section>
    );
  }
  const { counted, coachScore, alwaysStay, alwaysGo } = first.score;
  return (
    <section className="card-box review-start">
      <div role="status">
        {found.map(({ person, score }) => (
          <div key={person}>
            <p className="drills-figure">
              {person === '' ? 'Score' : person}{' '}
              <strong className="figure">{of100(score.score)}</strong> of 100
            </p>
            <p>
              {wins(score.lost)} given away in {score.counted} spots with something at stake. Clear
              calls right: {score.clearRight} of {score.clear}.
            </p>
            {score.guessBias !== null && score.guessOff !== null && (
              <p>
                Guesses: off by {Math.round(score.guessOff * 100)} points,{' '}
                {Math.abs(score.guessBias) < 0.05
                  ? 'neither high nor low'
                  : score.guessBias > 0
                    ? 'too high'
                    : 'too low'}{' '}
                on average.
              </p>
            )}
          </div>
        ))}
      </div>
      <p>
        The coach then: {of100(coachScore)}. Always staying: {of100(alwaysStay)}. Always going:{' '}
        {of100(alwaysGo)}.
      </p>
      {counted < LEAST_TO_COMPARE && (
        <p className="quiet">
          {counted} spots are too few to set two people side by side. It takes {LEAST_TO_COMPARE}.
        </p>
      )}
    </section>
  );
}
