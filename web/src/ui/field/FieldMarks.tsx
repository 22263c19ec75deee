import { useDrag } from '@use-gesture/react';
import { useRef, type KeyboardEvent, type MouseEvent } from 'react';
import { points, useDrawing } from './FieldView.tsx';
import { toField, toPicture, type Spot } from './geometry.ts';

const FINGER_PIXELS = 24;
const DOT_PIXELS = 9;
const TEXT_PIXELS = 13;

/** Somebody on the field. With `drag` they can be moved, by finger, mouse or arrow keys. */
export function FieldMark({
  spot,
  tone,
  text,
  textSide = 'right',
  drag,
}: {
  spot: Spot;
  tone: 'runner' | 'fielder';
  text: string;
  /** On which side of the mark there is room for its words. */
  textSide?: 'left' | 'right';
  drag?: {
    /** What is moved, and how far it stands, in words. */
    label: string;
    value: number;
    words: string;
    onMove: (spot: Spot) => void;
    /** A step of the arrow keys: out or back, and sideways. */
    onStep: (out: number, sideways: number) => void;
  };
}) {
  const { view, feetPerPixel } = useDrawing();
  const mark = useRef<SVGGElement>(null);
  const at = toPicture(view, spot);
  const bind = useDrag(
    ({ xy: [x, y] }) => {
      const box = mark.current?.ownerSVGElement?.getBoundingClientRect();
      if (!box || !drag) return;
      const inPicture = {
        x: ((x - box.left) / box.width) * view.width,
        y: ((y - box.top) / box.height) * view.height,
      };
      drag.onMove(toField(view, inPicture));
    },
    // The arrow keys go by half feet, not by pixels.
    { pointer: { keys: false } },
  );
  const step = (event: KeyboardEvent): void => {
    const by = STEPS[event.key];
    if (!by || !drag) return;
    event.preventDefault();
    drag.onStep(...by);
  };
  const handle = drag && {
    ...bind(),
    role: 'slider',
    tabIndex: 0,
    'aria-label': drag.label,
    'aria-valuenow': drag.value,
    'aria-valuetext': drag.words,
    onKeyDown: step,
    // What is moved is no tap on the field.
    onClick: (event: MouseEvent) => {
      event.stopPropagation();
    },
  };
  return (
    <g
      ref={mark}
      className={`field-mark field-${tone}${drag ? ' field-drag' : ''}`}
      transform={`translate(${String(at.x)} ${String(at.y)})`}
      {...handle}
    >
      {drag && <circle className="field-finger" r={FINGER_PIXELS * feetPerPixel} />}
      <circle className="field-dot" r={DOT_PIXELS * feetPerPixel} />
      <text
        x={(textSide === 'left' ? -1 : 1) * (DOT_PIXELS + 5) * feetPerPixel}
        textAnchor={textSide === 'left' ? 'end' : 'start'}
        y={4.5 * feetPerPixel}
        fontSize={TEXT_PIXELS * feetPerPixel}
      >
        {text}
      </text>
    </g>
  );
}

const STEPS: Record<string, [out: number, sideways: number]> = {
  ArrowUp: [0, 0.5],
  ArrowDown: [0, -0.5],
  ArrowRight: [0.5, 0],
  ArrowLeft: [-0.5, 0],
};

/** A mark across a path: how far somebody may go, its word on one side of the path. */
export function FieldTick({
  spot,
  along,
  text,
  tone,
  side = 'left',
}: {
  spot: Spot;
  /** The direction of the path, as a place farther along it. */
  along: Spot;
  text?: string;
  side?: 'left' | 'right';
  tone: 'good' | 'quiet';
}) {
  const { view, feetPerPixel } = useDrawing();
  const [at, next] = [toPicture(view, spot), toPicture(view, along)];
  const length = Math.hypot(next.x - at.x, next.y - at.y);
  // In the picture y goes down, so left of the path is this.
  const turn = side === 'left' ? 1 : -1;
  const out = { x: (turn * (next.y - at.y)) / length, y: (-turn * (next.x - at.x)) / length };
  const back = 12 * feetPerPixel;
  const leader = (text ? 46 : 12) * feetPerPixel;
  const end = { x: at.x + out.x * leader, y: at.y + out.y * leader };
  return (
    <g className={`field-tick field-tick-${tone}`}>
      <line
        x1={at.x - out.x * back}
        y1={at.y - out.y * back}
        x2={end.x}
        y2={end.y}
        strokeWidth={2.5 * feetPerPixel}
      />
      {text && (
        <text
          x={end.x + (out.x < 0 ? -4 : 4) * feetPerPixel}
          y={end.y + (out.y < 0 ? -2 : 10) * feetPerPixel}
          textAnchor={out.x < 0 ? 'end' : 'start'}
          fontSize={TEXT_PIXELS * feetPerPixel}
        >
          {text}
        </text>
      )}
    </g>
  );
}

/** Where a foot comes down, and as which step of them. */
export function FieldFoot({
  spot,
  foot,
  nth,
}: {
  spot: Spot;
  foot: 'right' | 'left';
  nth: number;
}) {
  const { view, feetPerPixel } = useDrawing();
  const at = toPicture(view, spot);
  return (
    <g
      className={`field-foot field-foot-${foot}`}
      transform={`translate(${String(at.x)} ${String(at.y)})`}
    >
      <circle r={8 * feetPerPixel} />
      <text textAnchor="middle" y={3.8 * feetPerPixel} fontSize={11 * feetPerPixel}>
        {nth}
      </text>
    </g>
  );
}

/** A way across the field. */
export function FieldWay({ spots, tone }: { spots: readonly Spot[]; tone: 'runner' | 'ball' }) {
  const { view, feetPerPixel } = useDrawing();
  return (
    <polyline
      className={`field-way field-way-${tone}`}
      points={points(spots.map((spot) => toPicture(view, spot)))}
      strokeWidth={3 * feetPerPixel}
    />
  );
}
