import {
  runSeconds,
  usualRun,
  type Conditions,
  type Population,
  type Runner,
} from '@bradyon/core/sprint';
import type { Leg } from '@bradyon/core/steals';
import { plainContext, populationKey, type DeliveryStyle } from '@bradyon/core/timing';
import type { PersonId, TargetBase } from '@bradyon/core/units';
import type { Person } from '@bradyon/core/people';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { giveOrTake, seconds, SpreadDots, timesCount } from '../../ui/index.ts';
import { standsInFor } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { dotsOf, KIND_WORDS } from '../timing/index.ts';

/** What a leg that the ball does rests on: this person's own times, or what is typical. */
export function BallRestsOn({
  title,
  personId,
  leg,
  populations,
  style,
  base,
  without,
}: {
  title: string;
  personId: PersonId;
  /** null: this leg does not count in this race, and `without` says why. */
  leg: Leg | null;
  without: string;
  populations: readonly Population[];
  style: DeliveryStyle;
  base: TargetBase;
}) {
  const key = leg && populationKey(contextOf(leg, style, base));
  const population = populations.find((each) => each.key === key);
  return (
    <RestBox title={title} personId={personId}>
      {leg === null ? (
        <p className="quiet">{without}</p>
      ) : (
        <>
          <Figure leg={leg} words={ballWords(leg)} />
          <Doubtful populations={population ? [population] : []} />
          {leg.basis === 'timed' && population ? (
            <SpreadDots
              tone="ball"
              meanSeconds={leg.spread.meanSeconds}
              giveOrTakeSeconds={leg.spread.sdSeconds}
              dots={dotsOf(population)}
            />
          ) : (
            leg.name !== 'windUp' && (
              <TimeHim to="" words={leg.name === 'pop' ? 'Time the throw' : 'Time the pitch'} />
            )
          )}
        </>
      )}
    </RestBox>
  );
}

/** What the run rests on: everything he ever ran. */
export function RunRestsOn({
  title,
  person,
  leg,
  form,
  field,
}: {
  title: string;
  person: Person;
  leg: Leg;
  form: Runner;
  field: Conditions;
}) {
  const steals = form.restsOn.find(({ context }) => context.kind === 'steal');
  // His steals as they would have been from where he goes now.
  const usual = steals && usualRun(steals.context, person.bats, field.ruleset, steals.leadFeet);
  const shift = usual ? leg.spread.meanSeconds - runSeconds(usual, form.fit, field) : 0;
  const [odd] = form.oddOnesOut;
  return (
    <RestBox title={title} personId={person.id}>
      <Figure leg={leg} words={runWords(form, leg)} />
      <Doubtful populations={form.restsOn} />
      {steals && leg.basis !== 'supposed' ? (
        <SpreadDots
          tone="runner"
          meanSeconds={leg.spread.meanSeconds}
          giveOrTakeSeconds={leg.spread.sdSeconds}
          dots={dotsOf(steals).map((dot) => ({ ...dot, seconds: dot.seconds + shift }))}
        />
      ) : (
        <TimeHim to="?watch=runners" words="Time the steal" />
      )}
      {odd && (
        <p className="quiet">
          Their {KIND_WORDS[odd.context.kind].name.toLowerCase()} does not match their other runs.
          Check those times.
        </p>
      )}
    </RestBox>
  );
}

function contextOf({ name }: Leg, style: DeliveryStyle, base: TargetBase) {
  if (name === 'pop') return { ...plainContext('pop'), base };
  return name === 'flight' ? plainContext('flight') : { ...plainContext('delivery'), style };
}

function RestBox({
  title,
  personId,
  children,
}: {
  title: string;
  personId: PersonId;
  children: ReactNode;
}) {
  const { id: teamId } = useTeam();
  return (
    <section className="card-box">
      <h2>
        {standsInFor({ id: personId }) ? (
          title
        ) : (
          <Link to={`/teams/${teamId}/timing/${personId}`}>{title}</Link>
        )}
      </h2>
      {children}
    </section>
  );
}

function Figure({ leg, words }: { leg: Leg; words: string }) {
  return (
    <p>
      <strong className="figure steal-figure">{seconds(leg.spread.meanSeconds)}</strong>{' '}
      <span className="quiet">{words}</span>
    </p>
  );
}

/** Times that look like a wrong tap still count until the coach has looked. */
function Doubtful({ populations }: { populations: readonly Population[] }) {
  const doubtful = populations.reduce((sum, each) => sum + each.doubtful.size, 0);
  if (doubtful === 0) return null;
  return (
    <p className="steal-doubtful">
      {doubtful === 1 ? 'One time looks' : `${String(doubtful)} times look`} like a wrong tap. It
      counts until you set it aside.
    </p>
  );
}

function TimeHim({ to, words }: { to: string; words: string }) {
  const { id: teamId } = useTeam();
  return (
    <Link className="btn btn-outline-primary" to={`/teams/${teamId}/timing${to}`}>
      {words}
    </Link>
  );
}

function ballWords({ name, basis, count, spread }: Leg): string {
  if (name === 'windUp') return 'typical windup, not timed';
  if (basis === 'typical') return 'typical for the level';
  if (basis === 'supposed') return 'what if';
  if (basis === 'reckoned') return `from the leg lift (${timesCount(count)}), minus .17`;
  return `${giveOrTake(spread.sdSeconds)}, ${timesCount(count)}`;
}

function runWords({ restsOn }: Runner, { basis, count, spread }: Leg): string {
  if (basis === 'typical') return 'typical for the level';
  if (basis === 'supposed') return 'what if';
  const all = restsOn.reduce((sum, { estimate }) => sum + (estimate?.count ?? 0), 0);
  if (basis === 'reckoned') {
    return `${giveOrTake(spread.sdSeconds)}, from ${String(all)} other runs`;
  }
  const others = all - count;
  return `${giveOrTake(spread.sdSeconds)}, ${String(count)} steals${others > 0 ? ` and ${String(others)} other runs` : ''}`;
}
