import './Figure.scss';
import { jointsOf, type Joints, type Point, type Pose } from './pose.ts';

/** Somebody on the field, drawn from their joints. A body is 100 high; whoever draws it says how large. */
export function Figure({
  pose,
  facing,
  at,
  size,
  tone,
  glove,
}: {
  pose: Pose;
  facing: 1 | -1;
  /** Where the feet are. */
  at: Point;
  /** Height of a body that stands upright, in the picture's own units. */
  size: number;
  /** Whose shirt. */
  tone: 'ours' | 'theirs';
  /** Which hand wears a glove, and whether it is shut around the ball. */
  glove?: { hand: 'near' | 'far'; isShut: boolean };
}) {
  const joints = jointsOf(pose, facing);
  const { head, neck, near, far } = joints;
  const scale = size / 100;
  const gloved = glove && joints[glove.hand].hand;
  return (
    <g
      className={`figure-body figure-${tone}`}
      transform={`translate(${String(at.x)} ${String(at.y)}) scale(${String(scale)})`}
    >
      <g className="figure-far">
        <Limb className="figure-sleeve" spots={[far.shoulder, far.elbow]} width={9} />
        <Limb className="figure-skin" spots={[far.elbow, far.hand]} width={6.5} />
        <LegOf side={far} facing={facing} />
      </g>
      <LegOf side={near} facing={facing} />
      <path className="figure-shirt" d={trunk(joints)} />
      <Limb className="figure-skin" spots={[neck, head]} width={7} />
      <circle className="figure-skin-fill" cx={head.x} cy={head.y} r="8" />
      <path
        className="figure-cap"
        transform={`translate(${String(head.x)} ${String(head.y)}) scale(${String(facing)} 1)`}
        d="M-8.4 -1 A8.4 8.4 0 0 1 8.4 -2.4 L13.5 -1 A1.2 1.2 0 0 1 13.2 1 L-8 0.4 Z"
      />
      <Limb className="figure-sleeve" spots={[near.shoulder, near.elbow]} width={9.5} />
      <Limb className="figure-skin" spots={[near.elbow, near.hand]} width={7} />
      {gloved && (
        <circle
          className={glove.isShut ? 'figure-glove figure-glove-shut' : 'figure-glove'}
          cx={gloved.x}
          cy={gloved.y}
          r="8"
        />
      )}
    </g>
  );
}

function LegOf({ side: { hip, knee, foot }, facing }: { side: Joints['near']; facing: 1 | -1 }) {
  const toe = { x: foot.x + facing * 6, y: foot.y - 0.5 };
  return (
    <>
      <Limb className="figure-trousers" spots={[hip, knee]} width={12} />
      <Limb className="figure-trousers" spots={[knee, foot]} width={8.5} />
      <Limb className="figure-shoe" spots={[foot, toe]} width={6} />
    </>
  );
}

function Limb({
  className,
  spots,
  width,
}: {
  className: string;
  spots: readonly Point[];
  width: number;
}) {
  const points = spots.map(({ x, y }) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ');
  return <polyline className={`figure-limb ${className}`} points={points} strokeWidth={width} />;
}

/** The shirt: shoulders to hips, wider where the body is turned to whoever looks. */
function trunk({ near, far }: Joints): string {
  const [left, right] = [near, far];
  const pad = 6.5;
  return [
    `M${left.shoulder.x - pad} ${left.shoulder.y - 2}`,
    `Q${(left.shoulder.x + right.shoulder.x) / 2} ${Math.min(left.shoulder.y, right.shoulder.y) - 6}`,
    `${right.shoulder.x + pad} ${right.shoulder.y - 2}`,
    `L${right.hip.x + pad} ${right.hip.y + 2}`,
    `L${left.hip.x - pad} ${left.hip.y + 2}Z`,
  ].join(' ');
}
