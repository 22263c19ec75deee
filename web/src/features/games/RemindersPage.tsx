import {
  FACTS,
  HOWS,
  LISTENERS,
  SHIPPED,
  type Condition,
  type FactName,
  type Listener,
  type Reminder,
} from '@bradyon/core/advice';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { newId } from '../../api/index.ts';
import { Failure, FormField, Loading, notify, PickOne, useTitle } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './GamePage.scss';
import { GameTabs } from './GameTabs.tsx';
import { FACT_WORDS, HOW_WORDS, LISTENER_WORDS } from './reminderWords.ts';
import { useReminders } from './useReminders.ts';

/** What is said in games: switched off, said in own words, and rules of one's own. */
export function RemindersPage() {
  useTitle('Reminders');
  const team = useTeam();
  const { changes, save, isLoading, error, retry } = useReminders(team.id);
  const [to, setTo] = useState<Listener>('runnerFirst');
  if (error) return <Failure error={error} retry={retry} />;
  if (isLoading) return <Loading what="your reminders" />;
  const { off, words, own } = changes;
  const rules = SHIPPED.filter((rule) => rule.to === to);
  return (
    <>
      <div className="page-head">
        <h1>Reminders</h1>
        <GameTabs />
      </div>
      <p className="quiet reminders-about">
        At most two are shown to each person before a pitch. Turn off what you never say.
      </p>
      <PickOne
        label="To"
        value={to}
        options={LISTENERS.map((value) => ({ value, text: LISTENER_WORDS[value] }))}
        onChange={(value) => {
          setTo(value as Listener);
        }}
      />
      <ul className="reminder-list">
        {rules.map((rule) => {
          const isOn = !off.includes(rule.id);
          const said = words.find(({ id }) => id === rule.id)?.say ?? rule.say;
          return (
            <li key={rule.id} className="card-box reminder">
              <Form.Check
                type="switch"
                id={`on-${rule.id}`}
                label={isOn ? 'On' : 'Off'}
                checked={isOn}
                onChange={() => {
                  save({
                    ...changes,
                    off: isOn ? [...off, rule.id] : off.filter((id) => id !== rule.id),
                  });
                }}
              />
              <SayField
                said={said}
                label={`Say: ${rule.say}`}
                onSave={(say) => {
                  const others = words.filter(({ id }) => id !== rule.id);
                  const isShipped = say === rule.say || say === '';
                  save({
                    ...changes,
                    words: isShipped ? others : [...others, { id: rule.id, say }],
                  });
                }}
              />
              <p className="quiet">
                {rule.why} When {whenWords(rule.when)}.
              </p>
            </li>
          );
        })}
        {own
          .filter((rule) => rule.to === to)
          .map((rule) => (
            <li key={rule.id} className="card-box reminder">
              <strong>Ours</strong>
              <p>
                “{rule.say}” when {whenWords(rule.when)}.
              </p>
              <Button
                variant="outline-primary"
                onClick={() => {
                  save({ ...changes, own: own.filter(({ id }) => id !== rule.id) });
                  notify('Reminder deleted', () => {
                    save(changes);
                  });
                }}
              >
                Delete
              </Button>
            </li>
          ))}
      </ul>
      <NewReminder
        to={to}
        onAdd={(rule) => {
          save({ ...changes, own: [...own, rule] });
        }}
      />
    </>
  );
}

function whenWords(when: readonly Condition[]): string {
  if (when.length === 0) return 'always';
  return when
    .map(({ fact, how, value }) => {
      if (typeof value === 'boolean') {
        const isTrue = (how === 'is') === value;
        return isTrue ? FACT_WORDS[fact] : `not ${FACT_WORDS[fact]}`;
      }
      return `${FACT_WORDS[fact]} ${HOW_WORDS[how]} ${String(value)}`;
    })
    .join(', ');
}

/** A line in the team's own words, saved when it is left. */
function SayField({
  said,
  label,
  onSave,
}: {
  said: string;
  label: string;
  onSave: (say: string) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  return (
    <Form.Control
      aria-label={label}
      value={text ?? said}
      maxLength={80}
      onChange={({ target }) => {
        setText(target.value);
      }}
      onBlur={() => {
        if (text !== null && text.trim() !== said) onSave(text.trim());
        setText(null);
      }}
    />
  );
}

const ALL: readonly FactName[] = [...FACTS.flags, ...FACTS.counts];

function NewReminder({ to, onAdd }: { to: Listener; onAdd: (rule: Reminder) => void }) {
  const [say, setSay] = useState('');
  const [when, setWhen] = useState<Condition[]>([]);
  const [fact, setFact] = useState<FactName>('outs');
  const [how, setHow] = useState<Condition['how']>('is');
  const [value, setValue] = useState('2');
  const [error, setError] = useState<string | undefined>(undefined);
  const isFlag = (FACTS.flags as readonly string[]).includes(fact);
  return (
    <Form
      noValidate
      className="card-box new-reminder"
      onSubmit={(event) => {
        event.preventDefault();
        if (say.trim() === '') {
          setError('Type what to say.');
          return;
        }
        onAdd({ id: newId<never>(), to, when, say: say.trim(), why: '', weight: 3 });
        setSay('');
        setWhen([]);
        setError(undefined);
      }}
    >
      <h2>Add your own</h2>
      <FormField label={`Say to: ${LISTENER_WORDS[to]}`} error={error}>
        {(field) => (
          <Form.Control
            {...field}
            maxLength={80}
            value={say}
            onChange={({ target }) => {
              setSay(target.value);
            }}
          />
        )}
      </FormField>
      <p>When {whenWords(when)}.</p>
      <div className="more-row">
        <PickOne
          label="And"
          value={fact}
          options={ALL.map((each) => ({ value: each, text: FACT_WORDS[each] }))}
          onChange={(next) => {
            setFact(next as FactName);
          }}
        />
        {!isFlag && (
          <>
            <PickOne
              label="How"
              value={how}
              options={HOWS.map((each) => ({ value: each, text: HOW_WORDS[each] }))}
              onChange={(next) => {
                setHow(next as Condition['how']);
              }}
            />
            <Form.Control
              aria-label="Value"
              inputMode="numeric"
              className="new-reminder-value"
              value={value}
              onChange={({ target }) => {
                setValue(target.value);
              }}
            />
          </>
        )}
        <Button
          variant="outline-primary"
          onClick={() => {
            const number = Number(value);
            if (!isFlag && !(Number.isFinite(number) && Math.abs(number) <= 99)) {
              setError('Enter a number from −99 to 99.');
              return;
            }
            setError(undefined);
            setWhen([
              ...when,
              isFlag ? { fact, how: 'is', value: true } : { fact, how, value: number },
            ]);
          }}
        >
          Add condition
        </Button>
      </div>
      <Button type="submit">Add reminder</Button>
    </Form>
  );
}
