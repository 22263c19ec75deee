import { byNumber, type Person } from '@bradyon/core/people';
import { commonLeadFeet } from '@bradyon/core/sprint';
import {
  describeMisfit,
  typedSeconds,
  type ReadingDraft,
  type StartTechnique,
} from '@bradyon/core/timing';
import { dayIn, type ReadingId } from '@bradyon/core/units';
import { useId, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useSearchParams } from 'react-router';
import { newId } from '../../api/index.ts';
import { notify, seconds as secondsText, distanceText, typedFeet } from '../../ui/index.ts';
import { personLabel, usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { NobodyToTime } from './BatteryWatch.tsx';
import { FeetField, feetProblem, StartField } from './RunnersWatch.tsx';
import { Latest, Seen } from './Seen.tsx';
import { instantOn, secondsProblem, typedKinds, usualKind, type TypedKind } from './typedKinds.ts';
import './TypedTimes.scss';
import { useNow } from './useNow.ts';
import { readingWrite } from './writes.ts';

const USUAL_SPRINT_FEET = 60;

/** Times from a stopwatch and a sheet of paper, typed one after the other for anybody. */
export function TypedTimes() {
  const team = useTeam();
  const { people, opponents } = usePeople(team.id);
  const { onField } = usePlaying(team.id);
  const [search, setSearch] = useSearchParams();
  const active = people.filter(({ retired }) => !retired).toSorted(byNumber);
  const person =
    active.find(({ id }) => id === search.get('who')) ?? onField.pitcher ?? active[0] ?? null;
  const kinds = typedKinds(team.ruleset);
  const [chosen, setChosen] = useState<string | null>(null);
  const kind =
    kinds.find(({ value }) => value === chosen) ?? (person && usualKind(person, kinds)) ?? kinds[0];
  const sides = [
    ...opponents.filter(({ retired }) => !retired).map(({ id, name }) => ({ id, name })),
    { id: null, name: team.name },
  ].map((side) => ({
    ...side,
    people: active.filter(({ opponentId }) => opponentId === side.id),
  }));
  const whoId = useId();
  const kindId = useId();
  if (!person || !kind) return <NobodyToTime who="your players" />;
  return (
    <div className="time">
      <div className="typed">
        <div className="time-who">
          <div className="person-select">
            <label htmlFor={whoId}>Player</label>
            <Form.Select
              id={whoId}
              value={person.id}
              onChange={({ target }) => {
                setChosen(null);
                setSearch({ watch: 'typed', who: target.value }, { replace: true });
              }}
            >
              {sides
                .filter((side) => side.people.length > 0)
                .map((side) => (
                  <optgroup key={side.id ?? 'ours'} label={side.name}>
                    {side.people.map((each) => (
                      <option key={each.id} value={each.id}>
                        {personLabel(each)}
                      </option>
                    ))}
                  </optgroup>
                ))}
            </Form.Select>
          </div>
          <div className="person-select">
            <label htmlFor={kindId}>Time</label>
            <Form.Select
              id={kindId}
              value={kind.value}
              onChange={({ target }) => {
                setChosen(target.value);
              }}
            >
              {(['Pitcher', 'Catcher', 'Runner', 'Outfielder'] as const).map((group) => (
                <optgroup key={group} label={group}>
                  {kinds
                    .filter((each) => each.group === group)
                    .map(({ value, text }) => (
                      <option key={value} value={value}>
                        {text}
                      </option>
                    ))}
                </optgroup>
              ))}
            </Form.Select>
          </div>
        </div>
        {/* A lead typed for one run means nothing for another. */}
        <TypedRow key={`${person.id} ${kind.value}`} person={person} kind={kind} />
        <p className="quiet">
          Type a time and press Enter. 141 means 1.41. Times are saved one by one.
        </p>
        <Latest people={[person]} kinds={[kind.context.kind]} />
      </div>
      <div className="time-seen">
        <Seen person={person} role={kind.group.toLowerCase()} kinds={[kind.context.kind]} />
      </div>
    </div>
  );
}

/** The lead or the distance, the day, and the seconds: Enter saves, and the next can be typed. */
function TypedRow({ person, kind }: { person: Person; kind: TypedKind }) {
  const team = useTeam();
  const { context } = kind;
  const isSprint = context.kind === 'dash';
  const usualLead = commonLeadFeet(context, team.ruleset);
  const [feetText, setFeetText] = useState(
    isSprint ? distanceText(USUAL_SPRINT_FEET) : usualLead === null ? '' : distanceText(usualLead),
  );
  const [start, setStart] = useState<StartTechnique | null>(null);
  const today = dayIn(team.timeZone, useNow());
  const [day, setDay] = useState(today);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const secondsId = useId();
  const dayId = useId();

  const feet = typedFeet(feetText);
  const hasFeet = isSprint || usualLead !== null;
  const problemOfFeet = hasFeet ? feetProblem(feet, isSprint) : null;
  const dayProblem = day === '' || day > today ? 'Choose a day up to today.' : null;

  const save = (): void => {
    const typed = typedSeconds(text);
    const whole = {
      ...context,
      ...(usualLead !== null && { leadFeet: feet }),
      ...(isSprint && { fromFeet: 0, toFeet: feet }),
      ...((context.kind === 'steal' || isSprint) && { start }),
    };
    const misfit =
      secondsProblem(whole, typed) ?? describeMisfit({ ...whole, seconds: typed ?? 0 })?.message;
    setProblem(misfit ?? null);
    field.current?.focus();
    if (misfit || typed === null || problemOfFeet !== null || dayProblem !== null) return;
    const draft: ReadingDraft = {
      ...whole,
      id: newId<ReadingId>(),
      personId: person.id,
      seconds: typed,
      method: 'typed',
      resolutionSeconds: null,
      movedFrom: null,
      takenAt: instantOn(day, team.timeZone, Date.now()),
    };
    readingWrite.send(team.id, { step: 'add', draft });
    setText('');
    notify(`${person.name}, ${kind.text.toLowerCase()}: ${secondsText(typed)} saved`, () => {
      readingWrite.send(team.id, { step: 'delete', readingId: draft.id });
    });
  };
  return (
    <Form
      noValidate
      className="typed-row"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="person-select typed-seconds">
        <label htmlFor={secondsId}>Seconds</label>
        <Form.Control
          id={secondsId}
          ref={field}
          className="figure"
          inputMode="decimal"
          autoComplete="off"
          enterKeyHint="done"
          autoFocus
          value={text}
          isInvalid={problem !== null}
          aria-describedby={`${secondsId}-words`}
          onChange={({ target }) => {
            setText(target.value);
            setProblem(null);
          }}
        />
        <Form.Control.Feedback type="invalid" id={`${secondsId}-words`}>
          {problem}
        </Form.Control.Feedback>
      </div>
      {hasFeet && (
        <FeetField
          isDistance={isSprint}
          value={feetText}
          problem={problemOfFeet}
          onChange={setFeetText}
        />
      )}
      {(context.kind === 'steal' || isSprint) && (
        <StartField start={start} leads={team.ruleset.leadRule === 'open'} onChange={setStart} />
      )}
      <div className="person-select time-small">
        <label htmlFor={dayId}>Day</label>
        <Form.Control
          id={dayId}
          type="date"
          max={today}
          value={day}
          isInvalid={dayProblem !== null}
          aria-describedby={`${dayId}-words`}
          onChange={({ target }) => {
            setDay(target.value);
          }}
        />
        <Form.Control.Feedback type="invalid" id={`${dayId}-words`}>
          {dayProblem}
        </Form.Control.Feedback>
      </div>
      <Button type="submit">Save</Button>
    </Form>
  );
}
