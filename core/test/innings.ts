import collegeSoftball from '../vectors/innings/collegeSoftball.json';
import highSchool from '../vectors/innings/highSchool.json';
import pro from '../vectors/innings/pro.json';
import youth14 from '../vectors/innings/youth14.json';

/** Figures computed elsewhere, by the level they are of. */
export const INNINGS_VECTORS = {
  pro,
  hs: highSchool,
  u14: youth14,
  fpCollege: collegeSoftball,
} as const;
export type VectorLevel = keyof typeof INNINGS_VECTORS;
export const VECTOR_LEVELS = Object.keys(INNINGS_VECTORS) as VectorLevel[];
