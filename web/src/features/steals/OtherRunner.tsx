import {
  doubleSteal,
  firstAndThird,
  judgeSteal,
  stealKinds,
  type Judging,
  type Steal,
  questionOf,
} from '@bradyon/core/steals';
import { predictRun } from '@bradyon/core/sprint';
import type { Person } from '@bradyon/core/people';
import type { PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import { percent, PickOne } from '../../ui/index.ts';
import { personLabel } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { type StealInView } from './useSteal.ts';

/** Runner on third goes home from here when the throw is on its way: a secondary lead, drifting. */
const OFF_THIRD = { leadFeet: 18, startSpeed: 5 };

/** With another runner on: the double steal, or first and third. */
export function OtherRunner({ steal }: { steal: StealInView }) {
  const { ruleset } = useTeam();
  const { view, base, onField } = steal;
  const [otherId, setOtherId] = useState<PersonId | null>(null);
  if (!view || base === 'home' || view.steal.legs.surprise !== null) return null;
  const others = onField.runners.filter(({ id }) => id !== view.names.runner.id);
  const other = others.find(({ id }) => id === otherId);
  const where = base === 'third' ? 'first' : 'third';
  return (
    <section className="card-box steal-other">
      <PickOne
        label={`Also on ${where}`}
        value={other?.id ?? ''}
        options={[
          { value: '', text: 'Nobody' },
          ...others.map((person) => ({ value: person.id, text: personLabel(person) })),
        ]}
        onChange={(id) => {
          setOtherId(id === '' ? null : (id as PersonId));
        }}
      />
      {other && (
        <p>
          {base === 'third'
            ? doubleWords(steal, view.steal, view.judging, other)
            : firstAndThirdWords(steal, view.steal, other, ruleset.baseDistanceFeet)}
        </p>
      )}
    </section>
  );
}

function doubleWords(
  { view, times, playing }: StealInView,
  toThird: Steal,
  judging: Judging,
  other: Person,
): string {
  const [kind] = stealKinds(times.field.ruleset, 'second');
  if (!view || !kind) return '';
  const question = {
    ...questionOf(
      times,
      { ...view.names, runner: other },
      {
        base: 'second',
        kind,
        style: playing.style,
        batter: null,
        leadFeet: other.leadFeet,
      },
    ),
    // Both run on the same pitch, supposed or not.
    supposed: { pitch: view.question.supposed?.pitch },
  };
  const double = doubleSteal(toThird, judgeSteal(question, judging));
  const name = double.theirs === 'third' ? view.names.runner.name : other.name;
  return `Double steal: nobody out ${percent(double.chance)}. The defense should throw to ${double.theirs}, at ${name}. Thrown to third ${percent(double.thrownToThird)}, thrown to second ${percent(double.thrownToSecond)}, where the runner leaves a tenth later.`;
}

function firstAndThirdWords(
  { view, times }: StealInView,
  toSecond: Steal,
  other: Person,
  baseFeet: number,
): string {
  if (!view) return '';
  const run = {
    kind: 'steal',
    leadFeet: (OFF_THIRD.leadFeet * baseFeet) / 90,
    startSpeed: OFF_THIRD.startSpeed,
  } as const;
  const home = predictRun(times.runner(other).fit, run, times.field);
  const chances = firstAndThird(toSecond, home, times.field.level);
  return `First and third: if they throw through, ${view.names.runner.name} is safe at second ${percent(chances.throughSecond)}, and ${other.name} scores ${percent(chances.throughHome)} by going as the ball passes the mound. If they cut it, second is free, but ${other.name} scores only ${percent(chances.cutHome)} and should stay. Do not get tagged early unless the run is worth the out.`;
}
