import Button from 'react-bootstrap/Button';
import type { EarInHand } from './useEar.ts';
import { chainText } from './words.ts';

const WHY = {
  unsure: 'Heard, not sure',
  several: 'More than one sound fits',
};

/** What was heard and is not sure: the coach says which it was, or none. */
export function Questions({ hand }: { hand: EarInHand }) {
  const { state, questions } = hand;
  const [open] = state.state === 'open' ? state.chains : [];
  if (!open && questions.length === 0) return null;
  return (
    <ul className="ear-questions" aria-label="Heard">
      {open && (
        <li>
          <span>
            <strong className="figure">{chainText(open)}</strong>
            <span className="quiet">{open.isSure ? 'Heard' : 'Heard, not sure'}</span>
          </span>
          <span className="ear-answers">
            <Button
              variant="outline-primary"
              onClick={() => {
                hand.keepNow(open);
              }}
            >
              Keep now
            </Button>
            <Button variant="outline-primary" onClick={hand.drop}>
              Not it
            </Button>
          </span>
        </li>
      )}
      {questions.map((question) => (
        <li key={question.id}>
          <span>
            <strong>{WHY[question.why]}</strong>
            <span className="quiet">Keep the one that you saw.</span>
          </span>
          <span className="ear-answers">
            {question.chains.map((chain, nth) => (
              <Button
                key={nth}
                onClick={() => {
                  hand.answer(question, chain);
                }}
              >
                {chainText(chain)}
              </Button>
            ))}
            <Button
              variant="outline-primary"
              onClick={() => {
                hand.answer(question, null);
              }}
            >
              {question.chains.length > 1 ? 'None' : 'Not it'}
            </Button>
          </span>
        </li>
      ))}
    </ul>
  );
}
