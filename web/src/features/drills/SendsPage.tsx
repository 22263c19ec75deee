import {
  leanOf,
  lostBy,
  sendScore,
  type SendAnswer,
  type SendLevelName,
} from '@bradyon/core/drills';
import { byRuns, chainOf, PLAY_LEVELS, runExpectancies, tableOf } from '@bradyon/core/innings';
import type { LevelName } from '@bradyon/core/timing';
import type { AccountId, PersonId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { newId, session as signedIn } from '../../api/index.ts';
import { Failure, Loading, percent, PickOne, TapButton, useKeys } from '../../ui/index.ts';
import { FieldMark, FieldView } from '../../ui/field/index.ts';
import { personLabel } from '../people/index.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import type { TrainerPlay } from './drills.worker.ts';
import { inDrillWorker } from './heavy.ts';
import { levelOf, sendSceneAt } from './sendScene.ts';
import { useAwake } from './useAwake.ts';
import { DECIDER_TEXT } from './words.ts';

/** Plays unfold, and the coach decides before the last stop. Judged by what could be seen, never by how it ended. */
export function SendsPage() {
  return <DrillPage title="Send or hold">{(view) => <Sends view={view} />}</DrillPage>;
}

/** The levels that plays are drawn for, by the team's. */
const LEVELS: Record<LevelName, SendLevelName> = {
  pro: 'college',
  college: 'college',
  hs: 'hs',
  u14: 'u14',
  u12: 'u14',
  fpCollege: 'fpCollege',
  fpHs: 'fpHs',
  fpU12: 'fpHs',
};
const PLAYS = 10;
/** Older answers say little of today. */
const MOST_ANSWERS = 150;
const TABLES = new Map(
  (Object.keys(PLAY_LEVELS) as LevelName[]).map((level) => [
    level,
    () => tableOf(byRuns([runExpectancies(chainOf(PLAY_LEVELS[level]))])),
  ]),
);

function Sends({ view }: { view: DrillsInView }) {
  const { team, players, reps } = view;
  const accountId = signedIn.getState().account?.id ?? null;
  const [who, setWho] = useState('');
  const [seed, setSeed] = useState<number | null>(null);
  const level = LEVELS[team.level];
  const [values] = useState(() => TABLES.get(team.level)?.() ?? []);
  const plays = useQuery({
    queryKey: ['send plays', level, seed],
    queryFn: () => inDrillWorker((heavy) => heavy.plays(level, seed ?? 0, PLAYS, values)),
    enabled: seed !== null,
    staleTime: Number.POSITIVE_INFINITY,
    networkMode: 'always',
    meta: { onlyHere: true },
  });
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
            <Button
              size="lg"
              onClick={() => {
                setSeed(Number.parseInt(newId().slice(0, 7), 16));
              }}
            >
              Start
            </Button>
          </>
        ) : plays.error ? (
          <Failure
            error={plays.error}
            retry={() => {
              void plays.refetch();
            }}
          />
        ) : plays.data ? (
          <Round
            key={seed}
            plays={plays.data}
            onAnswer={(play, answer) => {
              const session = String(seed);
              reps.add(personId, { drill: 'send', session, level, seed: play.seed, answer, coach });
            }}
            onEnd={() => {
              setSeed(null);
            }}
          />
        ) : (
          <Loading what="ten plays" />
        )}
      </section>
      <section className="card-box">
        <h2>{person ? personLabel(person) : 'You'}</h2>
        <SendResult
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

/** One play after the other. */
function Round({
  plays,
  onAnswer,
  onEnd,
}: {
  plays: readonly TrainerPlay[];
  onAnswer: (play: TrainerPlay, answer: SendAnswer) => void;
  onEnd: () => void;
}) {
  const [nth, setNth] = useState(0);
  const [given, setGiven] = useState<SendAnswer[]>([]);
  useAwake(true);
  const play = plays[nth];
  if (!play) {
    const all = plays.flatMap(({ judged }, at) => {
      const answer = given[at];
      return answer ? [{ ...judged, answer }] : [];
    });
    return (
      <>
        <p className="drills-figure" role="status">
          Score <strong className="figure">{Math.round(sendScore(all))}</strong> of 100
        </p>
        <Button onClick={onEnd}>Done</Button>
      </>
    );
  }
  return (
    <Play
      key={nth}
      play={play}
      nth={nth}
      of={plays.length}
      onAnswer={(answer) => {
        setGiven((before) => [...before, answer]);
        onAnswer(play, answer);
      }}
      onNext={() => {
        setNth(nth + 1);
      }}
    />
  );
}

/** From the picture to the crack of the bat, seconds. */
const READY_SECONDS = 1.2;
const OUTS_TEXT = ['Nobody out', 'One out', 'Two out'] as const;

function Play({
  play,
  nth,
  of,
  onAnswer,
  onNext,
}: {
  play: TrainerPlay;
  nth: number;
  of: number;
  onAnswer: (answer: SendAnswer) => void;
  onNext: () => void;
}) {
  const [at, setAt] = useState(-READY_SECONDS);
  const [answer, setAnswer] = useState<SendAnswer | null>(null);
  const told = useRef(false);
  const isOver = answer !== null;
  const { judged, situation } = play;
  const say = (said: SendAnswer): void => {
    if (told.current || at < 0) return;
    told.current = true;
    setAnswer(said);
    onAnswer(said);
  };
  const late = useRef(() => {
    /* set below */
  });
  useEffect(() => {
    late.current = () => {
      say('none');
    };
  });
  useEffect(() => {
    if (isOver) return;
    const startMs = performance.now() + READY_SECONDS * 1000;
    let frame = 0;
    const draw = (): void => {
      const since = (performance.now() - startMs) / 1000;
      setAt(since);
      if (since >= judged.stopSeconds) late.current();
      else frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [isOver, judged.stopSeconds]);
  useKeys({
    s: () => {
      say('send');
    },
    h: () => {
      say('hold');
    },
  });
  const level = levelOf(situation.level);
  const scene = sendSceneAt(play, Math.max(0, at));
  const deep = level.centerDepth * 1.15;
  const isBobbled = situation.bobbled && at >= judged.fieldedSeconds;
  return (
    <>
      <p className="sends-where">
        {nth + 1} of {of}. <strong>{OUTS_TEXT[situation.outs]}</strong>, single to{' '}
        {situation.field === 'centre' ? 'center' : situation.field}.
      </p>
      <FieldView
        view={{ left: -deep * 0.62, top: deep, width: deep * 1.24, height: deep + 20 }}
        baseFeet={level.baseFeet}
        pitchingFeet={level.sport === 'softball' ? 43 : 60.5}
        label="A single with a runner on second."
      >
        <FieldMark spot={scene.outfielder} tone="fielder" text={isBobbled ? 'bobbled' : ''} />
        <FieldMark spot={scene.runner} tone="runner" text="" />
        <FieldMark spot={scene.ball} tone="fielder" text="ball" />
      </FieldView>
      {answer === null ? (
        <div className="tap-grid">
          <TapButton
            className="tap-quiet"
            onTap={() => {
              say('hold');
            }}
          >
            Hold
          </TapButton>
          <TapButton
            onTap={() => {
              say('send');
            }}
          >
            Send
          </TapButton>
        </div>
      ) : (
        <div className="sends-told" role="status">
          <p>
            <strong>{verdictText(play, answer)}</strong> {decidedText(play)}
          </p>
          <p className="quiet">
            {percent(judged.safe)} safe, needs {percent(judged.needed)}.
          </p>
          <Button autoFocus onClick={onNext}>
            Next
          </Button>
        </div>
      )}
    </>
  );
}

/** So near either is right. */
const EITHER = 0.05;

function verdictText({ judged }: TrainerPlay, answer: SendAnswer): string {
  const best = judged.best === 'send' ? 'Send' : 'Hold';
  if (answer === 'none') return `Too late. ${best}.`;
  if (Math.abs(judged.edge) < EITHER) return 'Too close to matter: either is right.';
  if (answer === judged.best) return `${best}: right.`;
  const lost = lostBy(judged, answer).toFixed(2).replace(/^0/, '');
  return `${best}: ${answer === 'send' ? 'sending' : 'holding'} here loses ${lost} runs.`;
}

function decidedText({ judged, decided }: TrainerPlay): string {
  if (Math.abs(judged.edge) < EITHER || !decided) return '';
  return DECIDER_TEXT[decided.decider][decided.change > 0 ? 0 : 1];
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
  answers: readonly { level: SendLevelName; seed: number; answer: SendAnswer }[];
  values: ReturnType<typeof tableOf>;
}) {
  const asked = answers.map(({ level, seed }) => ({ level, seed }));
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
    const answer = answers[at]?.answer;
    return each && answer ? [{ ...each, answer }] : [];
  });
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
      <table className="drills-table">
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
