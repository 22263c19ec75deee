import {
  armAnswer,
  armQuestions,
  ARM_SIGNALS,
  type ArmQuestion,
  type ArmSignal,
} from '@bradyon/core/signs';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { CoachFigure } from '../../ui/figure/index.ts';
import { useTitle } from '../../ui/index.ts';
import { ARMS } from './armPoses.ts';
import { secureRandom } from '../../api/random.ts';
import './Signs.scss';
import { SignTabs } from './SignTabs.tsx';

const QUESTIONS = 12;

/** What a base coach shows with the arms, and whom it is for. */
export function ArmsPage() {
  useTitle('Arm signals');
  const [questions, setQuestions] = useState<ArmQuestion[] | null>(null);
  return (
    <>
      <div className="page-head">
        <h1>Arm signals</h1>
        <SignTabs />
      </div>
      {questions ? (
        <ArmDrill
          questions={questions}
          onEnd={() => {
            setQuestions(null);
          }}
        />
      ) : (
        <>
          <p className="arms-rule">
            Name the runner first. With two on, a trailing runner must not take the lead runner’s
            signal.{' '}
            <Button
              onClick={() => {
                setQuestions(armQuestions(QUESTIONS, secureRandom));
              }}
            >
              Drill it
            </Button>
          </p>
          <ul className="arms">
            {ARM_SIGNALS.map((signal) => (
              <li key={signal} className="card-box">
                <CoachFigure hands={ARMS[signal].hands} label={ARMS[signal].name} />
                <h2>{ARMS[signal].name}</h2>
                <p>{ARMS[signal].says}</p>
              </li>
            ))}
          </ul>
          <p className="quiet">
            Slide feet first and late is how players get hurt: signal early, and teach the slide
            before the signal.
          </p>
        </>
      )}
    </>
  );
}

function ArmDrill({ questions, onEnd }: { questions: readonly ArmQuestion[]; onEnd: () => void }) {
  const [index, setIndex] = useState(0);
  const [right, setRight] = useState(0);
  const [answer, setAnswer] = useState<ArmSignal | null | undefined>(undefined);
  const question = questions[index];
  if (!question) {
    return (
      <section className="card-box drills-round">
        <p role="status">
          <strong>
            {right} of {questions.length} right.
          </strong>
        </p>
        <Button onClick={onEnd}>Done</Button>
      </section>
    );
  }
  const wanted = armAnswer(question);
  const { hands } = ARMS[question.signal];
  const say = (said: ArmSignal | null): void => {
    setAnswer(said);
    if (said === wanted) setRight(right + 1);
  };
  return (
    <section className="card-box drills-round drill" aria-label="Arm signal drill">
      <p className="drill-where" role="status">
        {String(index + 1)} of {questions.length}, {right} right
      </p>
      <p>
        You are the <strong>{question.you === 'lead' ? 'lead runner' : 'trailing runner'}</strong>.
        The coach calls the{' '}
        <strong>{question.for === 'lead' ? 'lead runner' : 'trailing runner'}</strong>.
      </p>
      <CoachFigure hands={hands} label="The coach shows a signal." />
      {answer === undefined ? (
        <div className="drill-answers">
          <Button
            onClick={() => {
              say(null);
            }}
          >
            Not mine
          </Button>
          {ARM_SIGNALS.map((signal) => (
            <Button
              key={signal}
              variant="outline-primary"
              onClick={() => {
                say(signal);
              }}
            >
              {ARMS[signal].name}
            </Button>
          ))}
        </div>
      ) : (
        <div className="drill-said" role="status">
          <p>
            <strong>{answer === wanted ? 'Right.' : 'Wrong.'}</strong>{' '}
            {wanted === null
              ? 'It was for the other runner. Wait for your own.'
              : ARMS[wanted].says}
          </p>
          <Button
            onClick={() => {
              setAnswer(undefined);
              setIndex(index + 1);
            }}
          >
            Next
          </Button>
        </div>
      )}
    </section>
  );
}
