import { returnSeconds, tagsAtBase, type Throw } from '@bradyon/core/leads';
import { RaceView, seconds, type Lane } from '../../ui/index.ts';

/** The throw over against the dive back, as every race is drawn. */
export function ReturnRace({ asked, move, own }: { asked: Throw; move: number; own: number }) {
  const { stance, level, leftHander } = asked;
  const back = returnSeconds(stance, level, leftHander, asked.own);
  const read = level.back.reactSeconds + own;
  const [tag] = tagsAtBase(level, stance.corner);
  const tagSeconds = tag?.seconds ?? 0;
  const ball = move + tagSeconds;
  const spare = ball - back;
  const lanes: [Lane, Lane] = [
    {
      title: `Ball ${seconds(ball)}`,
      tone: 'ball',
      legs: [
        { label: 'Move and throw', seconds: move, own: true },
        { label: 'tag', seconds: tagSeconds, own: true },
      ],
      spreadSeconds: Math.hypot(asked.throwing.sdSeconds, tag?.sdSeconds ?? 0),
    },
    {
      title: `Runner ${seconds(back)}`,
      tone: 'runner',
      legs: [
        { label: 'read', seconds: Math.max(0.05, read), own: true },
        { label: 'Dive back', seconds: back - Math.max(0.05, read), own: true },
      ],
      spreadSeconds: Math.hypot(level.back.reactSdSeconds, level.back.moveSdSeconds),
    },
  ];
  const gap = `${spare >= 0 ? 'safe' : 'out'} by ${seconds(Math.abs(spare))}`;
  return (
    <RaceView
      lanes={lanes}
      gapWords={gap}
      gapGood={spare >= 0}
      twin={`The throw over with its tag takes ${seconds(ball)}, the runner is back in ${seconds(back)}: ${gap}.`}
    />
  );
}
