import type { EarPlanName } from '@bradyon/core/ear';
import type { Person } from '@bradyon/core/people';
import { timesFromRelease } from '@bradyon/core/rules';
import { typicalTime } from '@bradyon/core/sprint';
import { plainContext, type ReadingKind } from '@bradyon/core/timing';
import { TARGET_BASES, type Base, type PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { Choice, Failure, Loading, useKeys, useTitle } from '../../ui/index.ts';
import {
  CatcherSelect,
  FacingSelect,
  PersonSelect,
  PitcherSelect,
  RunnerSelect,
  usePeople,
  usePlaying,
} from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import {
  BaseChoice,
  Latest,
  NobodyToTime,
  Seen,
  TimeTabs,
  useTimes,
  type SplitOwner,
} from '../timing/index.ts';
import { EarFace } from './EarFace.tsx';
import './EarPage.scss';
import { Questions } from './Questions.tsx';
import { Standing } from './Standing.tsx';
import { atBase, inOutfield, standOf, useStanding } from './standing.ts';
import { boundsFrom, useEar, type Listening } from './useEar.ts';
import { PLAN_WORDS, TROUBLE_WORDS } from './words.ts';

const BASEBALL: readonly EarPlanName[] = [
  'pop',
  'delivery',
  'battery',
  'outfieldThrow',
  'homeToFirst',
];
const SOFTBALL: readonly EarPlanName[] = [
  'pop',
  'flight',
  'softballBattery',
  'outfieldThrow',
  'homeToFirst',
];
const THROW_BASES = ['second', 'third', 'home'] as const satisfies readonly Base[];
type ThrowBase = (typeof THROW_BASES)[number];

/** Times without a thumb: the device hears the mitt, the glove and the bat. */
export function EarPage() {
  useTitle('By ear');
  const team = useTeam();
  const { isLoading, error, retry } = usePeople(team.id);
  if (error) return <Failure error={error} retry={retry} />;
  if (isLoading) return <Loading what="your players" />;
  return (
    <div className="time-page">
      <div className="page-head time-head">
        <h1>By ear</h1>
        <TimeTabs />
      </div>
      <Listen />
    </div>
  );
}

function Listen() {
  const team = useTeam();
  const { playing, onField, pick } = usePlaying(team.id);
  const { field } = useTimes(team);
  const standing = useStanding();
  const { baseDistanceFeet } = team.ruleset;
  const fromRelease = timesFromRelease(team.ruleset);
  const [planName, setPlanName] = useState<EarPlanName>('pop');
  const [fielderId, setFielderId] = useState<PersonId | null>(null);
  const [throwBase, setThrowBase] = useState<ThrowBase>('home');
  const fielder =
    onField.fielders.find(({ id }) => id === fielderId) ?? onField.fielders[0] ?? null;
  const { pitcher, catcher, runner } = onField;

  const home = atBase('home', baseDistanceFeet);
  const bag = atBase(playing.base, baseDistanceFeet);
  const sourcesOf = (): Listening['sources'] => {
    if (planName === 'pop') return [home, bag];
    if (planName === 'outfieldThrow') {
      return [inOutfield(fielder, team.level), atBase(throwBase, baseDistanceFeet)];
    }
    if (planName === 'homeToFirst') return [home, atBase('first', baseDistanceFeet)];
    return [home, home, bag];
  };
  const ownerOf = (kind: ReadingKind): SplitOwner | null => {
    const { base, style } = playing;
    if (kind === 'pop') return catcher && { personId: catcher.id, base };
    if (kind === 'outfieldThrow') return fielder && { personId: fielder.id, base: throwBase };
    if (kind === 'homeToFirst') return runner && { personId: runner.id };
    return pitcher && { personId: pitcher.id, base, ...(kind === 'delivery' && { style }) };
  };
  const listening: Listening = {
    planName,
    sources: sourcesOf(),
    stand: standOf(standing, team.id, baseDistanceFeet),
    bounds: boundsFrom((kind) =>
      typicalTime(
        {
          ...plainContext(kind),
          base: playing.base,
          style: kind === 'delivery' ? playing.style : null,
        },
        runner ?? { throws: 'right', bats: 'right' },
        field,
      ),
    ),
    ownerOf,
  };
  const hand = useEar(team.id, listening);
  const { phase } = hand;
  const isTapped = planName !== 'pop' && planName !== 'outfieldThrow';
  useKeys({
    z: hand.undo,
    ...(isTapped && phase.is === 'listening' && { Space: hand.tap }),
    2: () => {
      pick({ base: 'second' });
    },
    3: () => {
      pick({ base: 'third' });
    },
  });
  const isPitched = !['pop', 'outfieldThrow', 'homeToFirst'].includes(planName);
  const throwsToBase = planName === 'pop' || isPitched;
  const whoThrows =
    planName === 'outfieldThrow'
      ? fielder
      : planName === 'homeToFirst'
        ? runner
        : isPitched
          ? pitcher
          : catcher;
  const missing = missingOf(planName, { ...onField, fielder });
  const kinds: readonly ReadingKind[] = isPitched
    ? ['delivery', 'flight', 'pop']
    : [planName as ReadingKind];
  return (
    <div className="time">
      <div className="time-hand ear-hand">
        <Choice
          label="What to time"
          options={(fromRelease ? SOFTBALL : BASEBALL).map((value) => ({
            value,
            text: PLAN_WORDS[value],
          }))}
          value={planName}
          onChange={(name) => {
            // What was begun otherwise is not what is timed now.
            hand.drop();
            setPlanName(name);
          }}
        />
        <div className="time-who">
          {planName !== 'homeToFirst' && (
            <div className="person-select time-facing">
              <FacingSelect />
            </div>
          )}
          {isPitched && <PitcherSelect label="Pitcher" />}
          {(planName === 'pop' || planName.toLowerCase().includes('battery')) && (
            <CatcherSelect label="Catcher" />
          )}
          {planName === 'outfieldThrow' && (
            <PersonSelect
              label="Outfielder"
              people={onField.fielders}
              position={{ position: ['LF', 'CF', 'RF'], players: 'Outfielders' }}
              value={fielder}
              onChange={setFielderId}
            />
          )}
          {planName === 'homeToFirst' && <RunnerSelect />}
        </div>
        {missing && <NobodyToTime who={missing} />}
        <EarFace hand={hand} planName={planName} who={whoThrows?.name ?? null} />
        {phase.is === 'trouble' && (
          <div className="form-failure" role="alert">
            {TROUBLE_WORDS[phase.which]}{' '}
            <Link to={`/teams/${team.id}/timing`}>Time with the watch</Link>
          </div>
        )}
        <Questions hand={hand} />
        <div className="time-keys">
          {throwsToBase && (
            <BaseChoice
              label="Throw to"
              bases={TARGET_BASES}
              value={playing.base}
              onChange={(base) => {
                pick({ base });
              }}
            />
          )}
          {planName === 'outfieldThrow' && (
            <BaseChoice
              label="Throw to"
              bases={THROW_BASES}
              value={throwBase}
              onChange={setThrowBase}
            />
          )}
          <Button variant="outline-primary" disabled={hand.last === null} onClick={hand.undo}>
            Undo <kbd>Z</kbd>
          </Button>
        </div>
      </div>
      <div className="time-seen">
        <Standing hand={hand} listening={listening} />
        {whoThrows && (
          <Seen
            person={whoThrows}
            role={isPitched ? 'pitcher' : planName === 'pop' ? 'catcher' : ''}
            kinds={kinds}
          />
        )}
        <Latest people={isPitched ? [pitcher, catcher] : [whoThrows]} kinds={kinds} />
      </div>
    </div>
  );
}

/** Whom the team has to have before this can be timed; null: they are there. */
function missingOf(
  planName: EarPlanName,
  who: Record<'pitcher' | 'catcher' | 'runner' | 'fielder', Person | null>,
): string | null {
  if (planName === 'homeToFirst') return who.runner ? null : 'your players';
  if (planName === 'outfieldThrow') return who.fielder ? null : 'outfielders';
  if (planName !== 'pop' && !who.pitcher) return 'pitchers';
  const isCaught = planName === 'pop' || planName === 'battery' || planName === 'softballBattery';
  return isCaught && !who.catcher ? 'catchers' : null;
}
