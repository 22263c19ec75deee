import type { Season } from '@bradyon/contract/review';
import {
  attemptsOf,
  hasRun,
  LEAST_FOR_PREVIEW,
  REFITTED,
  versionsOf,
  type Refitted,
  type SeasonCall,
} from '@bradyon/core/review';
import type { LevelChanges } from '@bradyon/core/timing';
import { useState } from 'react';
import { proxy } from 'comlink';
import { useMutation } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { Failure, notify, percent, seconds, shortDate } from '../../ui/index.ts';
import { useSaveTeam, useTeam } from '../teams/index.ts';
import { inReviewWorker } from './heavy.ts';
import type { Learned } from './review.worker.ts';
import { useReckoned } from './useReckoned.ts';
import { CONSTANT_TEXT, REFUSAL_TEXT } from './words.ts';

const expit = (x: number): number => 1 / (1 + Math.exp(-x));
const factor = (log: number): string => `× ${Math.exp(log).toFixed(2)}`;
const SHOWN: Record<Refitted, (theta: number) => string> = {
  jump: seconds,
  jumpSd: (log) => seconds(Math.exp(log)),
  tag: factor,
  offLine: (odds) => percent(expit(odds)),
  away: (odds) => percent(expit(odds)),
  within: factor,
  slideStep: (value) => seconds(-value),
  leftHander: seconds,
  thirdJump: seconds,
};
/** Less of the doubt gone is nothing learned. */
const NOTHING = 0.2;

/** The judgement numbers of the level as the team's own attempts move them: looked at, used, and undone. */
export function LearnBox({ season: { calls, outsStealing } }: { season: Season }) {
  const team = useTeam();
  const save = useSaveTeam();
  const [done, setDone] = useState(0);
  const isOpen = team.ruleset.leadRule === 'open';
  const [now] = useState(() => new Date());
  const at = { level: team.level, isOpen, now };
  const reckoned = useReckoned(calls);
  const attempts = attemptsOf(calls, { ...at, readingOf: () => null }).length;
  const outs = calls.filter((call) => hasRun(call) && call.outcome === 'out').length;
  const learn = useMutation({
    mutationFn: () =>
      inReviewWorker((heavy) =>
        heavy.learn(
          calls,
          at,
          reckoned.readings,
          team.neededChance,
          outsStealing === 0 ? null : outs / outsStealing,
          proxy(setDone),
        ),
      ),
  });
  const put = (
    levelChanges: typeof team.levelChanges,
    onKept: () => void = () => undefined,
  ): void => {
    const { version: _version, role: _role, ...draft } = team;
    save.mutate({ ...draft, levelChanges }, { onSuccess: onKept });
  };
  const use = ({ changes, found }: Learned): void => {
    const before = team.levelChanges;
    // Said once they are kept: a refused write has words of its own.
    put({ ...before, ...changes }, () => {
      notify(`Your numbers from ${String(found.attempts)} attempts are in use.`, () => {
        put(before);
      });
    });
  };
  const found = learn.data;
  return (
    <section className="card-box review-box">
      <h2>Learn from us</h2>
      {attempts < LEAST_FOR_PREVIEW ? (
        <p className="quiet">{attempts} attempts so far. Ten give a preview, forty can be used.</p>
      ) : (
        <>
          <p>
            Jump, tags and throws away are judgement until your own attempts say better. {attempts}{' '}
            attempts so far.
          </p>
          <Button
            disabled={learn.isPending || reckoned.isLoading}
            onClick={() => {
              setDone(0);
              learn.mutate();
            }}
          >
            {learn.isPending ? `Working, ${percent(done)}` : 'Work it out'}
          </Button>
        </>
      )}
      {learn.error && (
        <Failure
          error={learn.error}
          retry={() => {
            learn.mutate();
          }}
        />
      )}
      {found && <Found learned={found} onUse={use} />}
      <Versions
        calls={calls}
        onUse={(changes) => {
          const before = team.levelChanges;
          put(changes, () => {
            notify('Those numbers are in use again.', () => {
              put(before);
            });
          });
        }}
      />
    </section>
  );
}

function Found({ learned, onUse }: { learned: Learned; onUse: (learned: Learned) => void }) {
  const { found, shipped, refusal, changedVerdicts, board, cushion, timed, throws } = learned;
  const even = board.find(({ leftSeconds }) => leftSeconds === 0);
  const { forward } = found;
  return (
    <>
      <div className="review-scroll" tabIndex={0} role="region" aria-label="What moved">
        <table className="review-table">
          <thead>
            <tr>
              <th scope="col">Number</th>
              <th scope="col">Shipped</th>
              <th scope="col">Yours</th>
              <th scope="col">Learned</th>
            </tr>
          </thead>
          <tbody>
            {REFITTED.map((name, at) => {
              const learnedShare = found.learned[at] ?? 0;
              return (
                <tr key={name}>
                  <th scope="row">{CONSTANT_TEXT[name]}</th>
                  <td className="figure">{SHOWN[name](shipped[at] ?? 0)}</td>
                  <td className="figure">{SHOWN[name](found.theta[at] ?? 0)}</td>
                  <td>{learnedShare < NOTHING ? 'Nothing' : percent(learnedShare)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <p>
        On the board, even times: {percent(even?.before ?? 0)} safe before,{' '}
        {percent(even?.after ?? 0)} now. To go you want {seconds(cushion.after)} left,{' '}
        {seconds(cushion.before)} before.
      </p>
      <p>
        {changedVerdicts} of {found.attempts} attempts would have had another answer.{' '}
        {forward && gainText(forward)}
      </p>
      {refusal ? (
        <p className="review-refused">{REFUSAL_TEXT[refusal]}</p>
      ) : (
        <Button
          onClick={() => {
            onUse(learned);
          }}
        >
          Use these numbers
        </Button>
      )}
      <p className="quiet">
        For attempts as you choose them, with {timed} times taken of them and {throws} throws seen.
        Without timed jumps, jump and tags are told apart by judgement: their difference is what was
        learned.
      </p>
    </>
  );
}

/** Whether outcomes would have been told better, each by numbers learned before it. */
function gainText({ gain, sd }: { gain: number; sd: number }): string {
  if (gain <= 0) return 'Looking forward it would have told outcomes worse.';
  const size = gain > sd ? 'by more than luck' : 'by hardly more than luck';
  return `Looking forward it would have told outcomes better, ${size}.`;
}

/** By which numbers the calls were told, and the way back to them. */
function Versions({
  calls,
  onUse,
}: {
  calls: readonly SeasonCall[];
  onUse: (changes: LevelChanges) => void;
}) {
  const team = useTeam();
  const versions = versionsOf(calls, team.levelChanges);
  if (versions.length < 2 && Object.keys(team.levelChanges).length === 0) return null;
  return (
    <>
      <h3>Numbers so far</h3>
      <ul className="review-versions">
        {versions.map(({ changes, from, to, calls: count, isNow }, nth) => (
          <li key={nth}>
            <span>
              {Object.keys(changes).length === 0 ? 'As shipped' : 'Your own'}
              {from !== null && to !== null && `, ${spanText(from, to)}`}, {count}{' '}
              {count === 1 ? 'call' : 'calls'}
            </span>
            {isNow ? (
              <span className="quiet">In use</span>
            ) : (
              <Button
                variant="link"
                onClick={() => {
                  onUse(changes);
                }}
              >
                Use these again
              </Button>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

function spanText(from: string, to: string): string {
  const [first, last] = [shortDate(from), shortDate(to)];
  return first === last ? first : `${first} to ${last}`;
}
