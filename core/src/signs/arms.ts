import type { Random } from '../maths/index.ts';

/** What a base coach shows with the arms. */
export const ARM_SIGNALS = ['stop', 'back', 'touch', 'round', 'keepComing', 'slide'] as const;
export type ArmSignal = (typeof ARM_SIGNALS)[number];

/** One question of the drill: a signal, whom it is for, and who has to answer. */
export interface ArmQuestion {
  signal: ArmSignal;
  for: 'lead' | 'trail';
  you: 'lead' | 'trail';
}

/** [judgement] So often there are two on, and so often the signal is for the other one. */
const TWO_ON = 0.6;
const FOR_OTHER = 0.5;

/** Questions with the trap in them: the trailing runner must not take the lead runner's signal. */
export function armQuestions(size: number, random: Random): ArmQuestion[] {
  return Array.from({ length: size }, () => {
    const signal = ARM_SIGNALS[Math.floor(random() * ARM_SIGNALS.length)] ?? 'stop';
    const you = random() < TWO_ON ? 'trail' : 'lead';
    const isOther = you === 'trail' && random() < FOR_OTHER;
    return { signal, you, for: isOther ? 'lead' : you };
  });
}

/** What is right: the signal, or null: it is not yours, wait for your own. */
export function armAnswer({ signal, for: whom, you }: ArmQuestion): ArmSignal | null {
  return whom === you ? signal : null;
}
