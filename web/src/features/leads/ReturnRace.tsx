import { returnSeconds, tagsAtBase, type KnownReturn, type Throw } from '@bradyon/core/leads';
import { RaceView, seconds, type Lane } from '../../ui/index.ts';
import type { Expected } from './useLeads.ts';

/** A throw behind the runner against the dive back, as every race is drawn. */
export function ReturnRace({
  asked,
  throwing,
  runner,
  label,
}: {
  asked: Throw;
  /** The throw: a move to the base, or a catcher's. */
  throwing: Expected;
  /** How the runner gets back, and from how many tries that is known. */
  runner: KnownReturn;
  label: string;
}) {
  const move = throwing.meanSeconds;
  const isOwn = runner.timed + runner.dived > 0;
  const { stance, level, leftHander } = asked;
  const back = returnSeconds(stance, level, leftHander, asked.own);
  const read = level.back.reactSeconds + runner.laterSeconds;
  const [tag] = tagsAtBase(level, stance.corner);
  const tagSeconds = tag?.seconds ?? 0;
  const ball = move + tagSeconds;
  const spare = ball - back;
  const lanes: [Lane, Lane] = [
    {
      title: `Ball ${seconds(ball)}`,
      tone: 'ball',
      legs: [
        { label, seconds: move, own: throwing.basis === 'timed' },
        { label: 'tag', seconds: tagSeconds, own: false },
      ],
      spreadSeconds: Math.hypot(asked.throwing.sdSeconds, tag?.sdSeconds ?? 0),
    },
    {
      title: `Runner ${seconds(back)}`,
      tone: 'runner',
      legs: [
        { label: 'read', seconds: Math.max(0.05, read), own: isOwn },
        { label: 'Dive back', seconds: back - Math.max(0.05, read), own: isOwn },
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
      twin={`The throw with its tag takes ${seconds(ball)}, the runner is back in ${seconds(back)}: ${gap}.`}
    />
  );
}
