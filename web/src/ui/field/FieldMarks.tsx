import { useDrag } from '@use-gesture/react';
import { useRef, type KeyboardEvent } from 'react';
import { points, useDrawing } from './FieldView.tsx';
import { toField, toPicture, type Spot } from './geometry.ts';

const FINGER_PIXELS = 24;
const DOT_PIXELS = 9;
const TEXT_PIXELS = 13;

/** Somebody on the field. With `drag` he can be moved, by finger, mouse or arrow keys. */
export function FieldMark({
  spot,
  tone,
  text,
  drag,
}: {
  spot: Spot;
  tone: 'runner' | 'fielder';
  text: string;
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
        x={(DOT_PIXELS + 5) * feetPerPixel}
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

/** A mark across a path: how far somebody may go, its word on the path's left. */
export function FieldTick({
  spot,
  along,
  text,
  tone,
}: {
  spot: Spot;
  /** The direction of the path, as a place farther along it. */
  along: Spot;
  text?: string;
  tone: 'good' | 'quiet';
}) {
  const { view, feetPerPixel } = useDrawing();
  const [at, next] = [toPicture(view, spot), toPicture(view, along)];
  const length = Math.hypot(next.x - at.x, next.y - at.y);
  // In the picture y goes down, so left of the path is this.
  const left = { x: (next.y - at.y) / length, y: -(next.x - at.x) / length };
  const right = 12 * feetPerPixel;
  const leader = (text ? 46 : 12) * feetPerPixel;
  const end = { x: at.x + left.x * leader, y: at.y + left.y * leader };
  return (
    <g className={`field-tick field-tick-${tone}`}>
      <line
        x1={at.x - left.x * right}
        y1={at.y - left.y * right}
        x2={end.x}
        y2={end.y}
        strokeWidth={2.5 * feetPerPixel}
      />
      {text && (
        <text
          x={end.x + (left.x < 0 ? -4 : 4) * feetPerPixel}
          y={end.y + (left.y < 0 ? -2 : 10) * feetPerPixel}
          textAnchor={left.x < 0 ? 'end' : 'start'}
          fontSize={TEXT_PIXELS * feetPerPixel}
        >
          {text}
        </text>
      )}
    </g>
  );
}

/** Where a foot comes down. */
export function FieldFoot({ spot, foot }: { spot: Spot; foot: 'right' | 'left' }) {
  const { view, feetPerPixel } = useDrawing();
  const at = toPicture(view, spot);
  return (
    <g className="field-foot" transform={`translate(${String(at.x)} ${String(at.y)})`}>
      <circle r={7 * feetPerPixel} />
      <text textAnchor="middle" y={3.6 * feetPerPixel} fontSize={10 * feetPerPixel}>
        {foot === 'right' ? 'R' : 'L'}
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
