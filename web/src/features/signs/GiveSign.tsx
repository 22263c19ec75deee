import {
  contextsOf,
  freeTouches,
  indicatorIn,
  isCriticalPlay,
  signGenerator,
  signsNow,
  type Meaning,
  type SignBook,
  type SignContext,
  type SignSystem,
  type TouchWeights,
} from '@bradyon/core/signs';
import type { PersonId, SignAnswerId, SignVersionId } from '@bradyon/core/units';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { newId } from '../../api/index.ts';
import { notify, PickOne } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { answerWrite } from './writes.ts';
import { inSignWorker } from './heavy.ts';
import { secureRandom } from '../../api/random.ts';
import './Signs.scss';
import { HoldToSee } from './HoldToSee.tsx';
import { useSaveSigns, useSigns } from './useSigns.ts';
import { signWord, touchWord } from './words.ts';

/** Somebody who has to read the sign. */
export interface Reader {
  id: PersonId;
  name: string;
}

/** Sequences given lately in this tab: none comes back soon. */
const lately: string[] = [];
const REMEMBERED = 60;

/**
 * Gives the sign that is on: held, the sequence shows; let go, it is gone, and the next one is another. Nothing on
 * is given the same way.
 * @param play the sign's own name of what is on; null: nothing on
 * @param context where the game stands
 * @param readers batter and runners
 * @param liveShare of the last signs; null: too few to tell
 */
export function GiveSign({
  play,
  context,
  readers,
  liveShare,
}: {
  play: Meaning;
  context: SignContext;
  readers: readonly Reader[];
  liveShare: number | null;
}) {
  const team = useTeam();
  const { book } = useSigns(team.id, team.role !== 'guest');
  const version = book && signsNow(book);
  if (!version) return null;
  return (
    <Giving
      key={version.id}
      system={version.system}
      play={play}
      context={context}
      readers={readers}
      liveShare={liveShare}
    />
  );
}

/** Weights of the touches of nothing on, worked out once for each indicator; until then every touch weighs the same. */
function useIdle(system: SignSystem, context: SignContext): TouchWeights | undefined {
  const hot = indicatorIn(system.indicator, context);
  const written = useMemo(() => JSON.stringify(system), [system]);
  const { data } = useQuery({
    queryKey: ['sign-idle', written, hot],
    queryFn: () => inSignWorker((heavy) => heavy.tune(system, context, 5)),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 5 * 60_000,
    networkMode: 'always',
    meta: { onlyHere: true },
  });
  return data;
}

/** The one of a system's own contexts that reads as this one does. */
function ownContext(system: SignSystem, context: SignContext): SignContext {
  const [first = context] = contextsOf(system);
  return {
    inning: context.inning,
    outs:
      system.indicator.kind === 'byOuts' || system.situational.length > 0
        ? context.outs
        : first.outs,
    bases: system.situational.length > 0 ? context.bases : first.bases,
  };
}

const TOO_LIVE = 0.25;

function Giving({
  system,
  play,
  context,
  readers,
  liveShare,
}: {
  system: SignSystem;
  play: Meaning;
  context: SignContext;
  readers: readonly Reader[];
  liveShare: number | null;
}) {
  const here = ownContext(system, context);
  const { inning, outs, bases } = here;
  const idle = useIdle(system, here);
  const generator = useMemo(
    () => signGenerator(system, { inning, outs, bases }, idle),
    [system, inning, outs, bases, idle],
  );
  const [answered, setAnswered] = useState<readonly string[]>([]);
  const canSay = generator.meanings.includes(play);
  const make = (): string[] | null => {
    const sequence = generator.make(play, secureRandom, new Set(lately));
    if (!sequence) {
      notify('Leave touches that mean nothing: these signs cannot be hidden.');
      return null;
    }
    lately.push(sequence.join(' '));
    lately.splice(0, Math.max(0, lately.length - REMEMBERED));
    return sequence;
  };
  const hot = indicatorIn(system.indicator, here);
  const isBoth = isCriticalPlay(system, play);
  return (
    <section className="give-sign" aria-label="Give the sign">
      <div className="give-head">
        {canSay ? (
          <HoldToSee words={signWord(play)} make={make} />
        ) : (
          <p className="quiet">Your signs have none for {signWord(play).toLowerCase()}.</p>
        )}
        {hot !== null && <NextIndicator system={system} hot={hot} />}
      </div>
      {liveShare !== null && liveShare > TOO_LIVE && (
        <p className="give-warning">
          {String(Math.round(liveShare * 10))} of your last 10 signs were live. Give more with
          nothing on.
        </p>
      )}
      {isBoth && readers.length > 0 && (
        <div className="more-row" role="group" aria-label="Who answered">
          {readers.map(({ id, name }) => (
            <Button
              key={id}
              variant="outline-primary"
              aria-pressed={answered.includes(id)}
              onClick={() => {
                setAnswered(
                  answered.includes(id)
                    ? answered.filter((each) => each !== id)
                    : [...answered, id],
                );
              }}
            >
              {name} answered
            </Button>
          ))}
          {readers.some(({ id }) => !answered.includes(id)) && (
            <span className="give-warning">Not everybody has answered.</span>
          )}
        </div>
      )}
    </section>
  );
}

/** This inning's indicator, and another one in a tap. */
function NextIndicator({ system, hot }: { system: SignSystem; hot: string }) {
  const team = useTeam();
  const save = useSaveSigns(team.id);
  const [next] = freeTouches(system);
  if (system.indicator.kind !== 'fixed' || next === undefined) {
    return (
      <span className="give-indicator">
        Indicator: <strong>{touchWord(hot)}</strong>
      </span>
    );
  }
  const change = (book: SignBook): SignBook => {
    const before = signsNow(book);
    if (!before) return book;
    const { touches } = before.system;
    const changed: SignSystem = {
      ...before.system,
      touches: touches.includes(next) ? touches : [...touches, next],
      indicator: { kind: 'fixed', touch: next },
    };
    const id = newId<SignVersionId>();
    const version = { ...before, id, at: new Date().toISOString(), system: changed };
    return { ...book, versions: [...book.versions, version].slice(-60) };
  };
  return (
    <Button
      variant="outline-primary"
      className="give-indicator"
      disabled={save.isPending}
      onClick={() => {
        save.mutate(change, {
          onSuccess: () => {
            // Whoever looks over a shoulder reads no touch in it.
            notify('The indicator has changed. Tell your players.');
          },
        });
      }}
    >
      <span>
        Indicator: <strong>{touchWord(hot)}</strong>
      </span>
      <small>Change to {touchWord(next)}</small>
    </Button>
  );
}

/** Who missed the sign that was on, or took it for another. @param play the sign's own name of it */
export function WhoMissed({ play, readers }: { play: string; readers: readonly Reader[] }) {
  const team = useTeam();
  const { book } = useSigns(team.id, team.role !== 'guest');
  const [told, setTold] = useState<readonly string[]>([]);
  const [tookFor, setTookFor] = useState('');
  const system = book && signsNow(book)?.system;
  if (!system || readers.length === 0) return null;
  return (
    <div className="more-row" role="group" aria-label="Who missed it">
      {readers.map(({ id, name }) => (
        <Button
          key={id}
          variant="outline-primary"
          disabled={told.includes(id)}
          onClick={() => {
            setTold([...told, id]);
            answerWrite.send(team.id, {
              id: newId<SignAnswerId>(),
              personId: id,
              meant: play,
              answered: tookFor === '' ? null : tookFor,
              seconds: 0,
              takenAt: new Date().toISOString(),
            });
          }}
        >
          {name} missed it
        </Button>
      ))}
      <PickOne
        label="Took it for"
        value={tookFor}
        options={[
          { value: '', text: 'nothing' },
          ...system.plays
            .filter(({ id }) => id !== play)
            .map(({ id }) => ({ value: id, text: signWord(id) })),
        ]}
        onChange={setTookFor}
      />
    </div>
  );
}
