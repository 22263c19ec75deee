import {
  type AlignmentName,
  type BuntFielder,
  type BuntPlay,
  type Strikes,
  type Surface,
} from '@bradyon/core/bunts';
import type { Place } from '@bradyon/core/units';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** How the defense stands, and what the coach asks of the bunt. */
export interface BuntDraft {
  /** null: what the bases call for. */
  play: BuntPlay | null;
  strikes: Strikes;
  /** null: as in the game, else the first. */
  alignment: AlignmentName | null;
  /** null: as the alignment has it. */
  shortToThird: boolean | null;
  /** Fielders that were dragged; a named alignment puts them back. */
  moved: Partial<Record<BuntFielder, Place>>;
  /** On the squeeze clock, seconds after the front foot lands. */
  breakSeconds: number;
  showSeconds: number;
}

const NEW_BUNT: BuntDraft = {
  play: null,
  strikes: 0,
  alignment: null,
  shortToThird: null,
  moved: {},
  breakSeconds: -0.1,
  showSeconds: 0.1,
};

/** Forgotten with the page, as every supposition. */
export const useBuntDraft = create<BuntDraft>()(() => NEW_BUNT);

/** What the ball rolls on: of the field, not of the pitch. */
const DRY: { surface: Surface } = { surface: 'dryGrass' };
export const useSurface = create<{ surface: Surface }>()(
  persist(() => DRY, { name: 'bradyon-surface' }),
);
