export { Figure } from './Figure.tsx';
export { jointsOf, poseAt, type Frame, type Point, type Pose } from './pose.ts';
export { DELIVERY, PITCHING, WINDMILL } from './pitching.ts';
export { CoachFigure, HANDS_DOWN, type CoachHands } from './CoachFigure.tsx';
