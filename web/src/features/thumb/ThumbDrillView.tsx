import { timesFromRelease } from '@bradyon/core/rules';
import {
  calibrationsOf,
  eventCalibration,
  REPS_FOR_CALIBRATION,
  type ReadingKind,
  type ThumbEvent,
} from '@bradyon/core/timing';
import type { ThumbRepId } from '@bradyon/core/units';
import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import { newId } from '../../api/index.ts';
import {
  Failure,
  giveOrTake,
  Loading,
  notify,
  SpreadDots,
  hundredths,
  TapButton,
  useKeys,
} from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { KIND_WORDS, tick } from '../timing/index.ts';
import { ThumbDrillStage } from './ThumbDrillStage.tsx';
import { sceneAt, type Scene } from './scene.ts';
import { useThumbDrill, type ThumbDrill } from './useThumbDrill.ts';
import { useFrame } from './useFrame.ts';
import { useThumb } from './useThumb.ts';
import { thumbWrite } from './writes.ts';

const EVENT_TITLES: Record<ThumbEvent, string> = {
  firstMove: 'First move',
  release: 'Release',
  mitt: 'Mitt',
  bag: 'Glove at the bag',
};
const ENOUGH = 10;

/** Pitches with times known to the program: what the thumb adds to them is the thumb's own. */
export function ThumbDrillView() {
  const { ruleset } = useTeam();
  const fromRelease = timesFromRelease(ruleset);
  const [search] = useSearchParams();
  const seed = search.get('seed');
  const thumb = useThumb();
  const { frameSeconds } = useFrame();
  const drill = useThumbDrill(
    fromRelease,
    seed === null ? null : Number(seed),
    frameSeconds,
    (rep) => {
      thumbWrite.send(null, {
        id: newId<ThumbRepId>(),
        lateSeconds: Object.fromEntries(
          Object.entries(rep.lateSeconds).map(([event, late]) => [event, Number(late.toFixed(4))]),
        ),
        frameSeconds: rep.frameSeconds,
        takenAt: new Date().toISOString(),
      });
    },
  );
  useKeys({ Space: drill.tap });

  if (thumb.error) return <Failure error={thumb.error} retry={thumb.retry} />;
  if (thumb.isLoading) return <Loading what="your reps" />;
  const events: ThumbEvent[] = [fromRelease ? 'release' : 'firstMove', 'mitt', 'bag'];
  return (
    <div className="drill">
      <div className="drill-hand">
        <Stage drill={drill} />
        <div className="drill-buttons">
          <Button
            variant={drill.phase === 'waiting' ? 'primary' : 'outline-primary'}
            onClick={drill.phase === 'waiting' ? drill.begin : drill.pause}
          >
            {drill.phase === 'waiting' ? 'Start the drill' : 'Pause'}
          </Button>
          <span className="quiet">
            {thumb.reps.length} {thumb.reps.length === 1 ? 'rep' : 'reps'} so far. Ten is enough.
          </span>
        </div>
      </div>
      <Results thumb={thumb} events={events} fromRelease={fromRelease} />
    </div>
  );
}

/** The picture is the tap area. It is drawn anew for every frame while a pitch is on. */
function Stage({ drill }: { drill: ThumbDrill }) {
  const { phase, showing, next } = drill;
  const [scene, setScene] = useState<Scene | null>(null);
  useEffect(() => {
    if (phase !== 'showing' || !showing) return;
    const { pitch, startMs } = showing;
    // Without motion, the picture changes at the events only.
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const moments = [0, ...pitch.events.map(({ atSeconds }) => atSeconds)];
    let frame = 0;
    const draw = (): void => {
      const seconds = (performance.now() - startMs) / 1000;
      const moment = moments.filter((at) => at <= seconds).at(-1) ?? 0;
      // A moment after the event, so that it shows.
      setScene(sceneAt(pitch, still ? moment + 0.12 * Number(moment > 0) : seconds));
      frame = requestAnimationFrame(draw);
    };
    draw();
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [phase, showing]);
  const resting = sceneAt({ events: [] }, -1);
  return (
    <TapButton
      className="drill-stage"
      aria-label="Tap at each event"
      // What truly happens when, on the clock of input events: for those who test the drill.
      data-events={
        showing
          ? showing.pitch.events
              .map(({ atSeconds }) => (showing.startMs + atSeconds * 1000).toFixed(3))
              .join(' ')
          : ''
      }
      data-phase={phase}
      data-next={next}
      onTap={(atMs) => {
        drill.tap(atMs);
        tick();
      }}
    >
      <ThumbDrillStage scene={phase === 'waiting' || !scene ? resting : scene} />
      <span className="drill-words" role="status">
        {drill.words}
      </span>
    </TapButton>
  );
}

function Results({
  thumb,
  events,
  fromRelease,
}: {
  thumb: ReturnType<typeof useThumb>;
  events: ThumbEvent[];
  fromRelease: boolean;
}) {
  const { reps, startOver } = thumb;
  const [sure, setSure] = useState(false);
  const calibrations = calibrationsOf(reps);
  const kinds: ReadingKind[] = [fromRelease ? 'flight' : 'delivery', 'pop'];
  return (
    <div className="drill-results">
      <section className="card-box">
        <h2>Your thumb</h2>
        {events.map((event) => {
          const found = eventCalibration(reps, event);
          return (
            <div key={event} className="drill-event" data-event={event}>
              <h3>{EVENT_TITLES[event]}</h3>
              {found ? (
                <>
                  <p>
                    <strong className="figure">{signed(found.biasSeconds)}</strong>{' '}
                    <span className="quiet">
                      {found.biasSeconds < 0 ? 'early' : 'late'}, {giveOrTake(found.sdSeconds)},{' '}
                      {found.count} tapped
                    </span>
                  </p>
                  <SpreadDots
                    tone="runner"
                    meanSeconds={found.biasSeconds}
                    giveOrTakeSeconds={found.sdSeconds}
                    dots={reps.flatMap(({ id, lateSeconds }) => {
                      const late = lateSeconds[event];
                      return late === undefined ? [] : [{ key: id, seconds: late, aside: false }];
                    })}
                  />
                </>
              ) : (
                <p className="quiet">Not tapped yet.</p>
              )}
            </div>
          );
        })}
      </section>
      <section className="card-box">
        <h2>What it changes</h2>
        {kinds.map((kind) => {
          const found = calibrations[kind];
          return (
            <p key={kind}>
              <strong>{KIND_WORDS[kind].name}</strong>{' '}
              {found ? (
                <>
                  reads {signed(found.biasSeconds)} {found.biasSeconds < 0 ? 'short' : 'long'},{' '}
                  {giveOrTake(found.sdSeconds)}. Your times are corrected for it from now on.
                </>
              ) : (
                <span className="quiet">
                  Not calibrated yet: {REPS_FOR_CALIBRATION} reps needed, {ENOUGH} are good.
                </span>
              )}
            </p>
          );
        })}
        {reps.length > 0 && (
          <Button
            variant="link"
            disabled={startOver.isPending}
            onClick={() => {
              if (!sure) {
                setSure(true);
                return;
              }
              startOver.mutate(undefined, {
                onSuccess: () => {
                  setSure(false);
                },
                onError: ({ message }) => {
                  notify(`Not deleted: ${message}`);
                },
              });
            }}
          >
            {sure ? `Delete all ${String(reps.length)} reps` : 'Start over'}
          </Button>
        )}
      </section>
    </div>
  );
}

/** @example signed(-0.042) // '.04 s' */
function signed(seconds: number): string {
  return `${hundredths(Math.abs(seconds))}\u00a0s`;
}
