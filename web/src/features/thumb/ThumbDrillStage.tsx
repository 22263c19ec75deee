import { CATCHER, INFIELDER, PITCHER, type Scene } from './scene.ts';

/** The drill's picture: pitcher, catcher and middle infielder, from the side. */
export function ThumbDrillStage({ scene }: { scene: Scene }) {
  const foot = { x: 18 + scene.stride * 30, y: -scene.leg * 46 };
  const knee = { x: 12 + scene.leg * 16 + scene.stride * 12, y: -26 - scene.leg * 22 };
  return (
    <svg className="drill-picture" viewBox="0 -110 800 430" aria-hidden="true">
      <rect className="drill-ground" x="0" y="250" width="800" height="70" />
      <path className="drill-mound" d="M30 252 q80 -26 170 0 z" />
      <rect className="drill-bag" x={INFIELDER.x - 30} y="250" width="34" height="8" rx="2" />
      <path className="drill-bag" d={`M${CATCHER.x - 62} 276 h26 l6 8 h-38 z`} />
      <g transform={`translate(${PITCHER.x} ${PITCHER.y - 8})`}>
        <Body />
        <path className="drill-limb" d="M0 -46 l-12 24 l-6 24" />
        <path className="drill-limb" d={`M0 -46 L${knee.x} ${knee.y} L${foot.x} ${foot.y}`} />
        <g transform={`translate(0 -82) rotate(${-scene.arm})`}>
          <path className="drill-limb" d="M0 0 l4 20 l4 18" />
        </g>
      </g>
      <g transform={`translate(${CATCHER.x} ${CATCHER.y})`}>
        <circle className="drill-head" cx="0" cy="-62" r="12" />
        <path className="drill-limb" d="M0 -50 l6 28 M6 -22 l-20 6 l4 18 M6 -22 l14 4 l-4 20" />
        <path className="drill-limb" d="M0 -44 l-18 8" />
        <circle
          className={scene.held === 'catcher' ? 'drill-glove drill-glove-shut' : 'drill-glove'}
          cx="-24"
          cy="-34"
          r="10"
        />
      </g>
      <g transform={`translate(${INFIELDER.x} ${INFIELDER.y + 14})`}>
        <Body />
        <path className="drill-limb" d="M0 -46 l-14 24 l-4 22 M0 -46 l14 24 l4 22" />
        <path className="drill-limb" d="M0 -80 l-12 22" />
        <circle
          className={scene.held === 'infielder' ? 'drill-glove drill-glove-shut' : 'drill-glove'}
          cx="-16"
          cy="-48"
          r="10"
        />
      </g>
      <circle className="drill-ball" cx={scene.ball.x} cy={scene.ball.y} r="6" />
    </svg>
  );
}

function Body() {
  return (
    <>
      <circle className="drill-head" cx="0" cy="-104" r="12" />
      <path className="drill-limb" d="M0 -92 v46" />
    </>
  );
}
