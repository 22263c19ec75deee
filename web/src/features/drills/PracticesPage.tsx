import type { PracticeRecord } from '@bradyon/contract/drills';
import type { Kept } from '@bradyon/contract/kept';
import {
  ageAt,
  capsAt,
  limitsOf,
  makeGroups,
  practiceMinutes,
  STATION_NAMES,
  type Practice,
  type PracticeLimits,
  type StationName,
} from '@bradyon/core/drills';
import type { PersonId, PracticeId } from '@bradyon/core/units';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link, useNavigate } from 'react-router';
import { newId } from '../../api/index.ts';
import { Empty, Failure, Loading, localMinute, longDate, Stepper } from '../../ui/index.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import { inDrillWorker } from './heavy.ts';
import { LinePicker } from './LinePicker.tsx';
import { useNeeds } from './useNeeds.ts';
import { usePractices } from './usePractices.ts';
import { STATION_TEXT } from './words.ts';

const CARE =
  'Warm up first. Heat and lightning: your local policy decides. Pain means stop, and tell a trainer.';

/** Practices to come and past, and the next one from what the numbers lack most. */
export function PracticesPage() {
  return (
    <DrillPage title="Practice" care={CARE}>
      {(view) => <Practices view={view} />}
    </DrillPage>
  );
}

function Practices({ view }: { view: DrillsInView }) {
  const { practices, save, isLoading, error, retry } = usePractices(view.team.id);
  if (error) return <Failure error={error} retry={retry} />;
  if (isLoading) return <Loading what="your practices" />;
  const now = new Date().toISOString();
  const coming = practices.filter(({ startsAt }) => startsAt >= now).toReversed();
  const past = practices.filter(({ startsAt }) => startsAt < now);
  return (
    <div className="drills-two">
      <section className="card-box drills-set">
        <h2>Plan a practice</h2>
        <PlanForm view={view} limits={practices[0]?.limits ?? null} save={save} />
      </section>
      <section className="card-box">
        {practices.length === 0 ? (
          <Empty title="No practices yet.">
            <p>Say who is there and how long. The plan starts from what your numbers lack.</p>
          </Empty>
        ) : (
          <>
            <List title="To come" practices={coming} />
            <List title="Past" practices={past} />
          </>
        )}
      </section>
    </div>
  );
}

function List({ title, practices }: { title: string; practices: readonly Kept<PracticeRecord>[] }) {
  if (practices.length === 0) return null;
  return (
    <>
      <h2>{title}</h2>
      <ul className="practice-list">
        {practices.map((practice) => (
          <li key={practice.id}>
            <Link to={practice.id}>
              <strong>{practice.name}</strong>
              <span className="quiet">
                {longDate(practice.startsAt)}, {practiceMinutes(practice)} minutes,{' '}
                {practice.groups.flat().length} players
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

const SLOTS = [15, 12, 10, 20] as const;
const CLOSE = 5;
const CHANGE = 2;
const WATER = { minutes: 3, everySlots: 2 } as const;
const NO_PLAN = {
  tooFewMinutes: 'Too few minutes for so many groups. Add time or take fewer groups.',
  noStationsFit: 'No stations fit. Choose more of them, or add a coach.',
} as const;

/** The next full hour. */
function nextHour(): string {
  const hour = 3_600_000;
  return localMinute(new Date(Math.ceil(Date.now() / hour) * hour));
}

function PlanForm({
  view: { team, players, reps },
  limits: ownLimits,
  save,
}: {
  view: DrillsInView;
  /** Those of the last practice: a team sets them once. */
  limits: PracticeLimits | null;
  save: (practice: PracticeRecord) => void;
}) {
  const navigate = useNavigate();
  const age = ageAt(team.level);
  const { warmUpMinutes } = capsAt(age);
  const limits = limitsOf({ limits: ownLimits }, age);
  const needs = useNeeds({ team, players, reps }, limits.sprints);
  const [startsAt, setStartsAt] = useState(nextHour);
  const [minutes, setMinutes] = useState(90);
  const [coaches, setCoaches] = useState(2);
  const [groups, setGroups] = useState(3);
  const [there, setThere] = useState<PersonId[]>(() => players.map(({ id }) => id));
  const [without, setWithout] = useState<StationName[]>([]);
  const [problem, setProblem] = useState('');
  const plan = useMutation({
    mutationFn: async () => {
      const present = players.filter(({ id }) => there.includes(id));
      const asked = present.map((person) => needs.of(person));
      const arms = (position: 'P' | 'C'): number =>
        present.filter(({ positions }) => positions.includes(position)).length;
      const dealt = makeGroups(asked, Math.min(groups, present.length));
      const { found } = await inDrillWorker((heavy) =>
        heavy.plan({
          minutes,
          warmUpMinutes,
          closeMinutes: CLOSE,
          changeMinutes: CHANGE,
          water: WATER,
          slotChoices: SLOTS,
          coaches,
          groups: dealt,
          players: asked,
          arms: {
            pitcher: { arms: arms('P'), throwsEach: limits.pitcherThrows },
            catcher: { arms: arms('C'), throwsEach: limits.catcherThrows },
          },
          stations: STATION_NAMES.filter((name) => !without.includes(name)),
        }),
      );
      return { found, dealt };
    },
    onSuccess: ({ found, dealt }) => {
      if ('reason' in found) {
        setProblem(NO_PLAN[found.reason]);
        return;
      }
      const id = newId<PracticeId>();
      const practice: Practice = {
        name: 'Practice',
        startsAt: new Date(startsAt).toISOString(),
        warmUpMinutes,
        closeMinutes: CLOSE,
        changeMinutes: CHANGE,
        slotMinutes: found.slotMinutes,
        water: WATER,
        coaches,
        order: found.order,
        own: [],
        groups: dealt,
        notes: '',
        ...(ownLimits && { limits: ownLimits }),
      };
      save({ id, ...practice });
      void navigate(id);
    },
    onError: ({ message }) => {
      setProblem(message);
    },
  });
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        setProblem('');
        if (Number.isNaN(Date.parse(startsAt))) setProblem('Say when it starts.');
        else if (there.length === 0) setProblem('Choose who is there.');
        else plan.mutate();
      }}
      noValidate
    >
      <div className="practice-form">
        <Form.Group controlId="practice-starts">
          <Form.Label>Starts</Form.Label>
          <Form.Control
            type="datetime-local"
            value={startsAt}
            onChange={({ target }) => {
              setStartsAt(target.value);
            }}
          />
        </Form.Group>
        <div className="practice-minutes">
          <Stepper
            label="Minutes"
            value={minutes}
            step={5}
            min={30}
            max={240}
            text={String}
            onChange={setMinutes}
          />
          <Stepper
            label="Coaches"
            value={coaches}
            step={1}
            min={1}
            max={12}
            text={String}
            onChange={setCoaches}
          />
          <Stepper
            label="Groups"
            value={groups}
            step={1}
            min={1}
            max={6}
            text={String}
            onChange={setGroups}
          />
        </div>
        <LinePicker
          label="Who is there"
          isOrdered={false}
          players={players}
          line={there}
          onChange={setThere}
        />
        <fieldset className="line-picker">
          <legend className="choice-label">Stations to choose from</legend>
          {STATION_NAMES.map((name) => (
            <label key={name} className="line-player">
              <input
                type="checkbox"
                checked={!without.includes(name)}
                onChange={() => {
                  setWithout((now) =>
                    now.includes(name) ? now.filter((each) => each !== name) : [...now, name],
                  );
                }}
              />
              <span>{STATION_TEXT[name]}</span>
            </label>
          ))}
        </fieldset>
        {problem !== '' && (
          <p role="alert" className="drills-problem">
            {problem}
          </p>
        )}
        <Button type="submit" size="lg" disabled={plan.isPending || needs.isLoading}>
          {plan.isPending || needs.isLoading ? 'Planning...' : 'Plan it'}
        </Button>
      </div>
    </Form>
  );
}
