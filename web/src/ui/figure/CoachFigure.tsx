import type { Point } from './pose.ts';
import { reach } from './reach.ts';
import './CoachFigure.scss';

/** Where the hands of a coach are, on a body 100 high; right and up are positive. */
export interface CoachHands {
  right: Point;
  left: Point;
}

/** Hands at the sides, a little forward. */
export const HANDS_DOWN: CoachHands = { right: { x: -18, y: 51 }, left: { x: 18, y: 51 } };

const ARM = { upper: 17, fore: 17 } as const;
const SHOULDER = { x: 11, y: 80 } as const;

/**
 * A coach seen from the front, as a runner sees them.
 * @param mark what is touched, ringed
 * @param label said to who does not see it
 */
export function CoachFigure({
  hands,
  mark = null,
  label,
}: {
  hands: CoachHands;
  mark?: Point | null;
  label: string;
}) {
  const right = armTo(-1, hands.right);
  const left = armTo(1, hands.left);
  return (
    <svg className="coach-figure" viewBox="-48 -124 96 128" role="img" aria-label={label}>
      <g className="coach-legs">
        <Bone spots={[at(-5, 54), at(-8, 30), at(-9, 3)]} width={9} />
        <Bone spots={[at(5, 54), at(8, 30), at(9, 3)]} width={9} />
      </g>
      <path className="coach-shirt" d="M-13 -82 Q0 -87 13 -82 L10 -54 L-10 -54 Z" />
      <path className="coach-belt" d="M-10 -56 L10 -56" />
      <circle className="coach-skin" cx="0" cy="-91" r="7.4" />
      <path className="coach-cap" d="M-7.8 -92 A7.8 7.8 0 0 1 7.8 -92 L9.5 -90.4 L-9.5 -90.4 Z" />
      <Arm shoulder={{ x: -SHOULDER.x, y: SHOULDER.y }} {...right} />
      <Arm shoulder={{ x: SHOULDER.x, y: SHOULDER.y }} {...left} />
      {mark && <circle className="coach-mark" cx={mark.x} cy={-mark.y} r="5.2" />}
    </svg>
  );
}

/** The arm of one side, its elbow away from the body. */
function armTo(side: 1 | -1, hand: Point): { elbow: Point; hand: Point } {
  const shoulder = { x: side * SHOULDER.x, y: SHOULDER.y };
  const ways = ([1, -1] as const).map((bend) => reach(shoulder, hand, { ...ARM, bend }));
  const [one, other] = ways as [Reached, Reached];
  return one.elbow.x * side > other.elbow.x * side ? one : other;
}
type Reached = ReturnType<typeof reach>;

const at = (x: number, y: number): Point => ({ x, y });

function Arm({ shoulder, elbow, hand }: { shoulder: Point; elbow: Point; hand: Point }) {
  return (
    <g>
      <g className="coach-sleeve">
        <Bone spots={[shoulder, elbow]} width={7} />
      </g>
      <g className="coach-forearm">
        <Bone spots={[elbow, hand]} width={5} />
      </g>
      <circle className="coach-skin coach-hand" cx={hand.x} cy={-hand.y} r="3.6" />
    </g>
  );
}

function Bone({ spots, width }: { spots: readonly Point[]; width: number }) {
  const points = spots.map(({ x, y }) => `${x.toFixed(2)},${(-y).toFixed(2)}`).join(' ');
  return <polyline points={points} strokeWidth={width} />;
}
