import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { distance, FormField, Stepper } from '../../ui/index.ts';
import { KIND_WORDS } from '../timing/index.ts';
import { CLIP_PLANS, type ClipMark, type ClipPlanName } from './clip.ts';
import type { Marking } from './useMarking.ts';
import type { VideoInHand } from './useVideo.ts';

/** The events to mark, each of which can be moved, and the times between them. */
export function ClipMarks({
  marking,
  video,
  playFps,
}: {
  marking: Marking;
  video: VideoInHand;
  playFps: number;
}) {
  return (
    <section className="card-box clip-form">
      <FormField label="What to time">
        {(field) => (
          <Form.Select
            {...field}
            value={marking.planName}
            onChange={({ target }) => {
              marking.choosePlan(target.value as ClipPlanName);
            }}
          >
            {marking.plans.map((name) => (
              <option key={name} value={name}>
                {CLIP_PLANS[name]}
              </option>
            ))}
          </Form.Select>
        )}
      </FormField>
      <ul className="clip-marks">
        {marking.marks.map(({ name, at, mark }, index) => {
          return (
            <li
              key={name}
              className={index === marking.due ? 'clip-mark clip-mark-due' : 'clip-mark'}
            >
              <span>
                <strong>{name}</strong>
                <span className="quiet figure">{markText(mark, playFps)}</span>
              </span>
              <Button
                variant={at === null ? 'primary' : 'outline-primary'}
                aria-label={`Mark ${name} here`}
                onClick={() => {
                  marking.mark(index, { seenAt: video.shown });
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
              {mark && 'heardAt' in mark && (
                <Stepper
                  label={`Camera to ${name}`}
                  value={mark.feet}
                  step={10}
                  min={0}
                  max={500}
                  text={distance}
                  onChange={(feet) => {
                    marking.mark(index, { ...mark, feet });
                  }}
                />
              )}
            </li>
          );
        })}
      </ul>
      <div className="clip-splits" role="status">
        {marking.splits.map(({ kind, seconds: value, sdSeconds, isSeen }) => (
          <p key={kind}>
            {KIND_WORDS[kind].name}{' '}
            <strong className="figure clip-figure">{value.toFixed(3)}</strong> s{' '}
            <span className="quiet">
              give or take{' '}
              {isSeen
                ? `${thousandths(0.5 / marking.trueFps)} at each end`
                : thousandths(sdSeconds)}
            </span>
          </p>
        ))}
      </div>
      <Button disabled={marking.splits.length === 0} onClick={marking.save}>
        Keep {marking.splits.length > 1 ? 'these times' : 'this time'}
      </Button>
    </section>
  );
}

const thousandths = (value: number): string => value.toFixed(3).replace(/^0/, '');

function markText(mark: ClipMark | null, playFps: number): string {
  if (mark === null) return 'not marked';
  return 'seenAt' in mark
    ? `frame ${String(Math.round(mark.seenAt * playFps))}`
    : `heard at ${mark.heardAt.toFixed(3)}\u00a0s`;
}

/** How fast the clip plays, and how fast the camera truly was. */
export function ClipRates({
  marking,
  video,
  playFps,
}: {
  marking: Marking;
  video: VideoInHand;
  playFps: number;
}) {
  return (
    <section className="card-box clip-form">
      <FormField label="Clip speed, frames per second" hint="Measured. Change it if it is wrong.">
        {(field) => <RateInput {...field} value={playFps} onChange={video.setPlayFps} />}
      </FormField>
      <FormField
        label="Camera speed, frames per second"
        hint="Higher for slow motion, such as 120 or 240."
        error={marking.rateFits ? undefined : 'Enter the camera’s frames per second, 5 to 2000.'}
      >
        {(field) => (
          <Form.Control
            {...field}
            inputMode="decimal"
            value={marking.trueRate}
            onChange={({ target }) => {
              marking.setTrueRate(target.value);
            }}
          />
        )}
      </FormField>
    </section>
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
