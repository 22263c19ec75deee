import { Figure } from '../../ui/figure/index.ts';
import { SIZE, STANDS, type Scene } from './scene.ts';

/** The drill's picture: pitcher, catcher and middle infielder, from the side. */
export function ThumbDrillStage({ scene }: { scene: Scene }) {
  const { pitcher, catcher, infielder } = STANDS;
  return (
    <svg className="drill-picture" viewBox="0 40 800 270" aria-hidden="true">
      <rect className="drill-ground" x="0" y="236" width="800" height="80" />
      <path className="drill-mound" d="M10 240 q100 -26 220 0 z" />
      <rect className="drill-bag" x={infielder.at.x - 34} y="254" width="40" height="9" rx="2" />
      <path className="drill-bag" d={`M${catcher.at.x - 86} 270 h30 l7 9 h-44 z`} />
      <Figure pose={scene.pitcher} {...pitcher} size={SIZE} tone="theirs" />
      <Figure
        pose={scene.catcher}
        {...catcher}
        size={SIZE}
        tone="theirs"
        glove={{ hand: 'near', isShut: scene.held === 'catcher' }}
      />
      <Figure
        pose={scene.infielder}
        {...infielder}
        size={SIZE}
        tone="theirs"
        glove={{ hand: 'near', isShut: scene.held === 'infielder' }}
      />
      <circle className="drill-ball" cx={scene.ball.x} cy={scene.ball.y} r="6" />
    </svg>
  );
}
