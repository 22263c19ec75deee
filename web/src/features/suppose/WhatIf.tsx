import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { hundredths } from '../../ui/index.ts';
import { standsInFor } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { KeepDialog } from './KeepDialog.tsx';
import { useSupposedTimes, type Supposed, type WhatIfTime } from './supposed.ts';
import { useKeepTimes } from './useKeepTimes.ts';
import './WhatIf.scss';

/**
 * A row of times that can be typed over to see what they change. What is typed is nobody's time until
 * it is kept as one.
 */
export function WhatIf({ times }: { times: readonly WhatIfTime[] }) {
  const team = useTeam();
  const supposed = useSupposedTimes(team.id);
  const keep = useKeepTimes();
  const [asking, setAsking] = useState(false);
  const typed = times.filter((time) => supposed.of(time).seconds !== undefined);
  const touched = times.filter((time) => supposed.of(time).text !== '');
  const hasStandIn = typed.some(({ person }) => standsInFor(person) !== null);
  return (
    <div className="what-if" role="group" aria-label="What if">
      <span className="what-if-title">What if</span>
      {times.map((time) => (
        <WhatIfField
          key={time.label}
          time={time}
          supposed={supposed.of(time)}
          onType={(text) => {
            supposed.set(time, text);
          }}
        />
      ))}
      {touched.length > 0 && (
        <div className="what-if-then">
          {typed.length > 0 && (
            <Button
              onClick={() => {
                if (hasStandIn) setAsking(true);
                else keep(typed);
              }}
            >
              Keep as times
            </Button>
          )}
          <Button
            variant="link"
            onClick={() => {
              supposed.forget(times);
            }}
          >
            Clear
          </Button>
        </div>
      )}
      {asking && (
        <KeepDialog
          times={typed}
          onClose={() => {
            setAsking(false);
          }}
        />
      )}
    </div>
  );
}

function WhatIfField({
  time: { label, usualSeconds },
  supposed: { text, problem },
  onType,
}: {
  time: WhatIfTime;
  supposed: Supposed;
  onType: (text: string) => void;
}) {
  const id = useId();
  return (
    <div className="what-if-field">
      <label htmlFor={id}>{label}</label>
      <Form.Control
        id={id}
        className="figure"
        inputMode="decimal"
        autoComplete="off"
        maxLength={8}
        placeholder={hundredths(usualSeconds)}
        value={text}
        isInvalid={problem !== null}
        aria-describedby={`${id}-words`}
        onChange={({ target }) => {
          onType(target.value);
        }}
      />
      <Form.Control.Feedback type="invalid" id={`${id}-words`}>
        {problem}
      </Form.Control.Feedback>
    </div>
  );
}
