import { timesFromRelease } from '@bradyon/core/rules';
import { commonLeadFeet } from '@bradyon/core/sprint';
import {
  describeMisfit,
  DELIVERY_STYLES,
  plainContext,
  WATCH_PLANS,
  type ReadingDraft,
  type ReadingKind,
} from '@bradyon/core/timing';
import type { Base, ReadingId } from '@bradyon/core/units';
import {
  ChevronFirst,
  ChevronLast,
  ChevronLeft,
  ChevronRight,
  Film,
  Pause,
  Play,
} from 'lucide-react';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { newId, useSend } from '../../api/index.ts';
import { Choice, Field, notify, seconds, useTitle } from '../../ui/index.ts';
import { PersonSelect, SideSelect, usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { BASE_WORDS, KIND_WORDS, STYLE_WORDS, TimeTabs, useKeys } from '../timing/index.ts';
import { CLIP_PLANS, clipSplits, type ClipPlanName } from './clip.ts';
import './ClipPage.scss';
import { useVideo } from './useVideo.ts';

const TENTH_SECONDS = 0.1;
const NO_KEYS = {};
const KIND_BASES: Partial<Record<ReadingKind, readonly Base[]>> = {
  delivery: ['second', 'third'],
  flight: ['second', 'third'],
  pop: ['second', 'third'],
  steal: ['second', 'third'],
  pick: ['first', 'second', 'third'],
  outfieldThrow: ['second', 'third', 'home'],
};

interface Clip {
  file: File;
  /** Of this device: the clip is never sent. */
  url: string;
}

/** Times from a clip: it is opened on this device, stepped through, marked, and never leaves it. */
export function ClipPage() {
  useTitle('Clip');
  const [clip, setClip] = useState<Clip | null>(null);
  const open = (file: File | undefined): void => {
    if (!file) return;
    if (clip) URL.revokeObjectURL(clip.url);
    setClip({ file, url: URL.createObjectURL(file) });
  };
  return (
    <div className="time-page">
      <div className="page-head time-head">
        <h1>Clip</h1>
        <TimeTabs />
        <label className="btn btn-primary clip-open">
          <Film size={18} aria-hidden="true" /> {clip ? 'Open another' : 'Open a clip'}
          <input
            type="file"
            accept="video/*"
            className="visually-hidden"
            onChange={({ target }) => {
              open(target.files?.[0]);
            }}
          />
        </label>
      </div>
      {clip ? (
        <Marking key={clip.url} clip={clip} />
      ) : (
        <div className="state-box">
          <p className="state-title">Open a clip of the pitch, the throw or the run.</p>
          <p>
            It stays on this device: it is not sent anywhere. Step to the frame of each event and
            mark it. A clip of 30 frames a second gives a time to about two hundredths; slow motion
            gives more.
          </p>
        </div>
      )}
    </div>
  );
}

function Marking({ clip: { file, url } }: { clip: Clip }) {
  const team = useTeam();
  const { playing, lineup, pick } = usePlaying(team.id);
  const { opponents } = usePeople(team.id);
  const send = useSend();
  const [videoRef, video] = useVideo();

  const plans = (Object.keys(CLIP_PLANS) as ClipPlanName[]).filter(
    (name) =>
      name !== (timesFromRelease(team.ruleset) ? 'battery' : 'softballBattery') &&
      !(name === 'leave' && team.ruleset.leadRule === 'open') &&
      !(['pick', 'diveBack'].includes(name) && team.ruleset.leadRule !== 'open'),
  );
  const [planName, setPlanName] = useState<ClipPlanName>(plans[0] ?? 'pop');
  const plan = WATCH_PLANS[planName];
  const kinds: readonly ReadingKind[] = plan.kinds;
  const [marks, setMarks] = useState<(number | null)[]>([]);
  const [trueRate, setTrueRate] = useState<string | null>(null);
  const [picked, setPicked] = useState<Base>(playing.base);
  const isReady = video.playFps !== null;
  const playFps = video.playFps ?? 30;
  const typedRate = trueRate ?? String(playFps);
  const trueFps = Number(typedRate.replace(',', '.'));
  const rateFits = trueFps >= 5 && trueFps <= 2000;
  const rates = { playFps, trueFps: rateFits ? trueFps : playFps };
  const splits = rateFits ? clipSplits(planName, marks, rates) : [];
  const due = plan.marks.findIndex((_, index) => marks[index] == null);
  const bases = kinds.flatMap((kind) => KIND_BASES[kind] ?? []);
  const base = bases.includes(picked) ? picked : (bases[0] ?? null);

  const mark = (index: number, at: number | null): void => {
    setMarks(plan.marks.map((_, each) => (each === index ? at : (marks[each] ?? null))));
  };
  const fielder = lineup.fielders[0] ?? null;
  const [fielderId, setFielderId] = useState(fielder?.id ?? null);
  const ownerOf = (kind: ReadingKind) => {
    if (kind === 'pop') return lineup.catcher;
    if (kind === 'outfieldThrow')
      return lineup.fielders.find(({ id }) => id === fielderId) ?? fielder;
    return ['delivery', 'flight', 'pick'].includes(kind) ? lineup.pitcher : lineup.runner;
  };

  const save = (): void => {
    const drafts: ReadingDraft[] = [];
    for (const split of splits) {
      const owner = ownerOf(split.kind);
      if (!owner) {
        notify('Pick whose time it is, then keep it.');
        return;
      }
      const context = { ...plainContext(split.kind), base: KIND_BASES[split.kind] ? base : null };
      const draft: ReadingDraft = {
        ...context,
        ...split,
        style: split.kind === 'delivery' ? playing.style : null,
        leadFeet: commonLeadFeet(context, team.ruleset),
        id: newId<ReadingId>(),
        personId: owner.id,
        method: 'clip',
        resolutionSeconds: Number((1 / trueFps).toFixed(6)),
        movedFrom: null,
        // When the camera wrote the file.
        takenAt: new Date(file.lastModified).toISOString(),
      };
      const misfit = describeMisfit(draft);
      if (misfit) {
        notify(
          `${KIND_WORDS[split.kind].name} ${seconds(split.seconds)} is not kept. ${misfit.message}`,
        );
        return;
      }
      drafts.push(draft);
    }
    for (const draft of drafts) send({ teamId: team.id, write: 'reading', draft });
    setMarks([]);
    const kept = drafts.map((each) => `${KIND_WORDS[each.kind].name} ${seconds(each.seconds)}`);
    notify(`Kept: ${kept.join(', ')}`, () => {
      for (const { id: readingId } of drafts) {
        send({ teamId: team.id, write: 'judge', readingId, reason: 'wrong tap', vouched: false });
      }
    });
  };

  /** A tenth of true time, in whole frames. */
  const tenth = (by: number): void => {
    video.step(by * Math.max(1, Math.round(TENTH_SECONDS * rates.trueFps)));
  };

  useKeys(
    !isReady
      ? NO_KEYS
      : {
          Space: video.toggle,
          arrowleft: () => {
            video.step(-1);
          },
          arrowright: () => {
            video.step(1);
          },
          arrowdown: () => {
            tenth(-1);
          },
          arrowup: () => {
            tenth(1);
          },
          m: () => {
            mark(due === -1 ? plan.marks.length - 1 : due, video.shown);
          },
        },
  );

  return (
    <div className="clip">
      <div className="clip-hand">
        <video
          ref={videoRef}
          className="clip-video"
          src={url}
          muted
          playsInline
          preload="auto"
          aria-label="The clip"
          onLoadedMetadata={video.onLoaded}
          onError={video.onProblem}
        />
        {video.problem ? (
          <p className="form-failure" role="alert">
            {video.problem}
          </p>
        ) : (
          <>
            <Timeline
              shown={video.shown}
              duration={video.duration}
              marks={plan.marks.map((name, index) => ({ name, at: marks[index] ?? null }))}
              onSeek={video.seek}
            />
            <div className="clip-steps" role="group" aria-label="Step through the clip">
              <StepButton
                disabled={!isReady}
                label="Back a tenth"
                onClick={() => {
                  tenth(-1);
                }}
              >
                <ChevronFirst size={20} aria-hidden="true" /> .1
              </StepButton>
              <StepButton
                disabled={!isReady}
                label="Back a frame"
                onClick={() => {
                  video.step(-1);
                }}
              >
                <ChevronLeft size={20} aria-hidden="true" /> frame
              </StepButton>
              <StepButton
                disabled={!isReady}
                label={video.playing ? 'Pause' : 'Play'}
                onClick={video.toggle}
              >
                {video.playing ? (
                  <Pause size={20} aria-hidden="true" />
                ) : (
                  <Play size={20} aria-hidden="true" />
                )}
              </StepButton>
              <StepButton
                disabled={!isReady}
                label="On a frame"
                onClick={() => {
                  video.step(1);
                }}
              >
                frame <ChevronRight size={20} aria-hidden="true" />
              </StepButton>
              <StepButton
                disabled={!isReady}
                label="On a tenth"
                onClick={() => {
                  tenth(1);
                }}
              >
                .1 <ChevronLast size={20} aria-hidden="true" />
              </StepButton>
              <output className="figure clip-place" aria-label="Frame shown">
                {isReady ? `frame ${String(Math.round(video.shown * playFps))}` : 'looking at it'}
              </output>
            </div>
          </>
        )}
      </div>
      <div className="clip-side">
        <section className="card-box clip-form">
          <Field label="What is it">
            {(field) => (
              <Form.Select
                {...field}
                value={planName}
                onChange={({ target }) => {
                  setPlanName(target.value as ClipPlanName);
                  setMarks([]);
                }}
              >
                {plans.map((name) => (
                  <option key={name} value={name}>
                    {CLIP_PLANS[name]}
                  </option>
                ))}
              </Form.Select>
            )}
          </Field>
          <ul className="clip-marks">
            {plan.marks.map((name, index) => {
              const at = marks[index] ?? null;
              return (
                <li key={name} className={index === due ? 'clip-mark clip-mark-due' : 'clip-mark'}>
                  <span>
                    <strong>{name}</strong>
                    <span className="quiet figure">
                      {at === null ? 'not marked' : `frame ${String(Math.round(at * playFps))}`}
                    </span>
                  </span>
                  <Button
                    variant={at === null ? 'primary' : 'outline-primary'}
                    aria-label={`Mark ${name} here`}
                    onClick={() => {
                      mark(index, video.shown);
                    }}
                  >
                    {at === null ? 'Mark' : 'Move here'}
                  </Button>
                  {at !== null && (
                    <Button
                      variant="outline-primary"
                      aria-label={`Go to ${name}`}
                      onClick={() => {
                        video.seek(at + 0.5 / playFps);
                      }}
                    >
                      Go to
                    </Button>
                  )}
                </li>
              );
            })}
          </ul>
          <div className="clip-splits" role="status">
            {splits.map(({ kind, seconds: value }) => (
              <p key={kind}>
                {KIND_WORDS[kind].name}{' '}
                <strong className="figure clip-figure">{value.toFixed(3)}</strong> s{' '}
                <span className="quiet">
                  give or take {(0.5 / trueFps).toFixed(3).replace(/^0/, '')} at each end
                </span>
              </p>
            ))}
          </div>
          <Button disabled={splits.length === 0} onClick={save}>
            Keep {splits.length > 1 ? 'these times' : 'this time'}
          </Button>
        </section>
        <section className="card-box clip-form">
          <Field
            label="The clip plays at, frames a second"
            hint="Measured; state it if it is wrong."
          >
            {(field) => <RateInput {...field} value={playFps} onChange={video.setPlayFps} />}
          </Field>
          <Field
            label="The camera took, frames a second"
            hint="More than it plays at: slow motion, such as 120 or 240."
            error={rateFits ? undefined : 'Enter the frames a second of the camera, 5 to 2000.'}
          >
            {(field) => (
              <Form.Control
                {...field}
                inputMode="decimal"
                value={typedRate}
                onChange={({ target }) => {
                  setTrueRate(target.value);
                }}
              />
            )}
          </Field>
        </section>
        <section className="card-box clip-form">
          {kinds.some((kind) =>
            ['delivery', 'flight', 'pick', 'pop', 'outfieldThrow'].includes(kind),
          ) && (
            <SideSelect
              opponents={opponents}
              value={lineup.facing}
              onChange={(facing) => {
                pick({ facing, pitcherId: null, catcherId: null });
              }}
            />
          )}
          {kinds.some((kind) => ['delivery', 'flight', 'pick'].includes(kind)) && (
            <PersonSelect
              label="Pitcher"
              people={lineup.pitchers}
              position={{ position: 'P', players: 'Pitchers' }}
              value={lineup.pitcher}
              onChange={(pitcherId) => {
                pick({ facing: lineup.facing, pitcherId });
              }}
            />
          )}
          {kinds.includes('pop') && (
            <PersonSelect
              label="Catcher"
              people={lineup.catchers}
              position={{ position: 'C', players: 'Catchers' }}
              value={lineup.catcher}
              onChange={(catcherId) => {
                pick({ facing: lineup.facing, catcherId });
              }}
            />
          )}
          {kinds.includes('outfieldThrow') && (
            <PersonSelect
              label="Outfielder"
              people={lineup.fielders}
              position={{ position: ['LF', 'CF', 'RF'], players: 'Outfielders' }}
              value={ownerOf('outfieldThrow')}
              onChange={setFielderId}
            />
          )}
          {!kinds.some((kind) =>
            ['delivery', 'flight', 'pick', 'pop', 'outfieldThrow'].includes(kind),
          ) && (
            <PersonSelect
              label="Runner"
              people={lineup.runners}
              value={lineup.runner}
              onChange={(runnerId) => {
                pick({ runnerId });
              }}
            />
          )}
          {kinds.includes('delivery') && (
            <Choice
              label="Delivery"
              options={DELIVERY_STYLES.map((value) => ({ value, text: STYLE_WORDS[value] }))}
              value={playing.style}
              onChange={(style) => {
                pick({ style });
              }}
            />
          )}
          {base !== null && (
            <Choice
              label="Base"
              options={[...new Set(bases)].map((value) => ({ value, text: BASE_WORDS[value] }))}
              value={base}
              onChange={setPicked}
            />
          )}
        </section>
      </div>
    </div>
  );
}

function StepButton({
  label,
  disabled,
  onClick,
  children,
}: {
  label: string;
  disabled: boolean;
  onClick: () => void;
  children: React.ReactNode;
}) {
  return (
    <Button
      variant="outline-primary"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </Button>
  );
}

/** A rate that is taken over once it makes sense. */
function RateInput({
  value,
  onChange,
  ...field
}: {
  id: string;
  'aria-describedby': string;
  isInvalid: boolean;
  value: number;
  onChange: (fps: number) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Form.Control
      {...field}
      inputMode="decimal"
      value={typed ?? String(value)}
      onChange={({ target }) => {
        setTyped(target.value);
        const fps = Number(target.value.replace(',', '.'));
        if (fps >= 5 && fps <= 500) onChange(fps);
      }}
      onBlur={() => {
        setTyped(null);
      }}
    />
  );
}

/** Where the frame and the marks lie in the clip. */
function Timeline({
  shown,
  duration,
  marks,
  onSeek,
}: {
  shown: number;
  duration: number;
  marks: { name: string; at: number | null }[];
  onSeek: (seconds: number) => void;
}) {
  const id = useId();
  return (
    <div className="clip-timeline">
      <label htmlFor={id} className="visually-hidden">
        Place in the clip
      </label>
      <input
        id={id}
        type="range"
        min={0}
        max={Math.max(duration, 0.1)}
        step="any"
        value={Math.min(shown, duration)}
        aria-valuetext={seconds(shown)}
        onChange={({ target }) => {
          onSeek(Number(target.value));
        }}
      />
      <svg className="clip-flags" width="100%" height="22" aria-hidden="true">
        {marks.map(({ name, at }) =>
          at === null || duration === 0 ? null : (
            <g key={name}>
              <line
                x1={`${String((at / duration) * 100)}%`}
                x2={`${String((at / duration) * 100)}%`}
                y1="0"
                y2="8"
              />
              <text
                x={`${String(Math.min(92, Math.max(4, (at / duration) * 100)))}%`}
                y="20"
                textAnchor="middle"
              >
                {name}
              </text>
            </g>
          ),
        )}
      </svg>
    </div>
  );
}
