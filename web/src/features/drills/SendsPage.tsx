import { bestForTrail, judgeGuesses, leanOf, sendScore, type SendRep } from '@bradyon/core/drills';
import type { AccountId, PersonId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { newId, session as signedIn } from '../../api/index.ts';
import { Choice, Failure, Loading, PickOne } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { PlayerLink } from '../signs/index.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import { inDrillWorker } from './heavy.ts';
import { OUTS_TEXT, SendRound, valuesAt, type RoundSetting } from './SendRound.tsx';

/** Plays unfold, and the coach decides before the last stop. Judged by what could be seen, never by how it ended. */
export function SendsPage() {
  return <DrillPage title="Send or hold">{(view) => <Sends view={view} />}</DrillPage>;
}

/** Older answers say little of today. */
const MOST_ANSWERS = 150;
function Sends({ view }: { view: DrillsInView }) {
  const { team, players, reps } = view;
  const accountId = signedIn.getState().account?.id ?? null;
  const [who, setWho] = useState('');
  const [seed, setSeed] = useState<number | null>(null);
  const [setting, setSetting] = useState<RoundSetting>({ onFirst: false, asksGuess: false });
  const [values] = useState(() => valuesAt(team.level));
  const person = players.find(({ id }) => id === who);
  const personId: PersonId | null = person?.id ?? null;
  const coach: AccountId | null = person ? null : accountId;
  return (
    <div className="drills-two">
      <section className="card-box drills-set">
        <PickOne
          label="At third base"
          value={who}
          options={[
            { value: '', text: 'Me' },
            ...players.map((each) => ({ value: each.id, text: personLabel(each) })),
          ]}
          onChange={(value) => {
            setWho(value);
            setSeed(null);
          }}
        />
        {seed === null ? (
          <>
            <p>
              Runner on second, a single. Send or hold before the runner is past the last stop. Ten
              plays.
            </p>
            <div className="control-row">
              <Choice
                label="Runners"
                value={setting.onFirst ? 'two' : 'one'}
                options={[
                  { value: 'one', text: 'Second' },
                  { value: 'two', text: 'First and second' },
                ]}
                onChange={(value) => {
                  setSetting({ ...setting, onFirst: value === 'two' });
                }}
              />
              <Choice
                label="Guess"
                value={setting.asksGuess ? 'guess' : 'none'}
                options={[
                  { value: 'none', text: 'Decide only' },
                  { value: 'guess', text: 'Guess the chance too' },
                ]}
                onChange={(value) => {
                  setSetting({ ...setting, asksGuess: value === 'guess' });
                }}
              />
            </div>
            <Button
              size="lg"
              onClick={() => {
                setSeed(Number.parseInt(newId().slice(0, 7), 16));
              }}
            >
              Start
            </Button>
          </>
        ) : (
          <SendRound
            key={seed}
            level={team.level}
            seed={seed}
            setting={setting}
            onAnswer={(answered) => {
              reps.add(personId, { drill: 'send', session: String(seed), ...answered, coach });
            }}
            onEnd={() => {
              setSeed(null);
            }}
          />
        )}
        {seed === null && person && <PlayerLink player={person} />}
      </section>
      <section className="card-box">
        <h2>{person ? personLabel(person) : 'You'}</h2>
        <SendResult
          key={who}
          answers={reps
            .of(personId, 'send')
            .flatMap(({ rep }) => (rep.coach === coach ? [rep] : []))
            .slice(-MOST_ANSWERS)}
          values={values}
        />
      </section>
    </div>
  );
}

const LEAN_WORDS = {
  tooBold: 'Too bold',
  tooCareful: 'Too careful',
  inLine: 'In line with the score',
  tooFew: 'Eight answers show a lean.',
} as const;

/** The lean over everything that was answered, and by outs. */
function SendResult({
  answers,
  values,
}: {
  answers: readonly SendRep[];
  values: ReturnType<typeof valuesAt>;
}) {
  const asked = answers.map(({ level, seed, onFirst }) => ({
    level,
    seed,
    onFirst: onFirst === true,
  }));
  const judged = useQuery({
    queryKey: ['send judged', asked],
    queryFn: () => inDrillWorker((heavy) => heavy.judged(asked, values)),
    enabled: asked.length > 0,
    staleTime: Number.POSITIVE_INFINITY,
    placeholderData: (before) => before,
    networkMode: 'always',
    meta: { onlyHere: true },
  });
  if (answers.length === 0) return <p className="quiet">No plays yet.</p>;
  if (judged.error) {
    return (
      <Failure
        error={judged.error}
        retry={() => {
          void judged.refetch();
        }}
      />
    );
  }
  if (!judged.data) return <Loading what="the answers" />;
  const all = judged.data.flatMap((each, at) => {
    const rep = answers[at];
    // While the next ones are on their way, those before stand for the same answers only.
    return each && rep?.seed === each.seed ? [{ ...each, rep, answer: rep.answer }] : [];
  });
  const guesses = judgeGuesses(
    all.flatMap(({ rep, safe }) => (rep.guess === undefined ? [] : [{ guess: rep.guess, safe }])),
  );
  const told = all.filter(({ rep, answer }) => rep.onFirst && answer === 'send');
  const toldRight = told.filter(
    ({ rep, letThrough }) => rep.trail === bestForTrail(true, letThrough),
  );
  const lean = leanOf(all);
  const points = Math.round(Math.abs(lean.lean) * 100);
  return (
    <>
      <p className="drills-figure">
        Score <strong className="figure">{Math.round(sendScore(all))}</strong> of 100
      </p>
      <p>
        {LEAN_WORDS[lean.words]}
        {(lean.words === 'tooBold' || lean.words === 'tooCareful') &&
          `: asks for ${String(points)} points ${lean.lean < 0 ? 'less' : 'more'} than the score does.`}
      </p>
      {guesses && <p>{guessText(guesses)}</p>}
      {told.length > 0 && (
        <p>
          Runner from first told right {toldRight.length} of {told.length} times.
        </p>
      )}
      <table className="reps-table">
        <thead>
          <tr>
            <th scope="col">Outs</th>
            <th scope="col">Plays</th>
            <th scope="col">Sent</th>
            <th scope="col">Should send</th>
          </tr>
        </thead>
        <tbody>
          {([0, 1, 2] as const).map((outs) => {
            const own = all.filter((each) => each.outs === outs);
            return (
              <tr key={outs}>
                <th scope="row">{OUTS_TEXT[outs]}</th>
                <td className="figure">{own.length}</td>
                <td className="figure">{own.filter(({ answer }) => answer === 'send').length}</td>
                <td className="figure">{own.filter(({ best }) => best === 'send').length}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

/** Nearer than a guess to the ten can be. */
const GUESSED_WELL = 0.05;

function guessText({ count, bias, off }: NonNullable<ReturnType<typeof judgeGuesses>>): string {
  const points = (share: number): string => String(Math.round(Math.abs(share) * 100));
  const lean =
    Math.abs(bias) < GUESSED_WELL
      ? 'neither high nor low'
      : `${points(bias)} points too ${bias > 0 ? 'high' : 'low'}`;
  return `Guesses of the chance: ${lean} on average, off by ${points(off)}. ${String(count)} so far.`;
}
