export { FieldFoot, FieldMark, FieldTick, FieldWay } from './FieldMarks.tsx';
export { FieldView } from './FieldView.tsx';
export { FieldFan, type FanCell } from './FieldFan.tsx';
export {
  againstPath,
  baseSpot,
  halfFeet,
  offPath,
  placeOf,
  spotOf,
  type Spot,
} from './geometry.ts';
