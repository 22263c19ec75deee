import type { ArmSignal } from '@bradyon/core/signs';
import type { CoachHands } from '../../ui/figure/index.ts';

/** How each signal looks from the base path, and what it says. */
export const ARMS: Record<ArmSignal, { hands: CoachHands; name: string; says: string }> = {
  stop: {
    hands: { right: { x: -13, y: 108 }, left: { x: 13, y: 108 } },
    name: 'Stop',
    says: 'Both hands up, palms out. Stop on the bag.',
  },
  back: {
    hands: { right: { x: -43, y: 80 }, left: { x: -20, y: 74 } },
    name: 'Back',
    says: 'Both arms push to the bag behind you. Get back.',
  },
  touch: {
    hands: { right: { x: -34, y: 60 }, left: { x: 18, y: 51 } },
    name: 'Come and touch',
    says: 'One hand points at the bag. Come in standing and stay on it.',
  },
  round: {
    hands: { right: { x: -12, y: 113 }, left: { x: 18, y: 51 } },
    name: 'Round and look',
    says: 'One finger up, circling. Round the bag, then find the ball.',
  },
  keepComing: {
    hands: { right: { x: -18, y: 51 }, left: { x: 40, y: 96 } },
    name: 'Keep coming',
    says: 'The arm windmills. Do not look, keep running.',
  },
  slide: {
    hands: { right: { x: -24, y: 48 }, left: { x: 24, y: 48 } },
    name: 'Slide',
    says: 'Both palms push down to the ground. Slide, feet first.',
  },
};
