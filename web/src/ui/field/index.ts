export { FieldFoot, FieldMark, FieldTick, FieldWay } from './FieldMarks.tsx';
export { FieldView } from './FieldView.tsx';
export { againstPath, baseSpot, halfFeet, offPath, type Spot } from './geometry.ts';
