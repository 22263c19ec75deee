import { BUNT_FIGURES, type BuntFigureKey } from '../bunts/index.ts';
import { BASES_FIGURES, type BasesFigureKey } from './figures.ts';

/** A team's own constants of bunting and of the bases, in place of its level's. */
export interface FieldChanges {
  bunts: Partial<Record<BuntFigureKey, number>>;
  bases: Partial<Record<BasesFigureKey, number>>;
}

/** All the constants that a team can change, by what they are about. */
export const FIELD_FIGURES = { bunts: BUNT_FIGURES, bases: BASES_FIGURES } as const;

/** A team that changes nothing. */
export const NO_FIELD_CHANGES: FieldChanges = { bunts: {}, bases: {} };
