import { BASES_FIGURES, OUTFIELD, usualOutfieldSpot, type Outfielder } from '@bradyon/core/bases';
import { AT_BASE_SD_FEET, IN_OUTFIELD_SD_FEET, type Source, type Stand } from '@bradyon/core/ear';
import type { Person } from '@bradyon/core/people';
import { figureAt, type LevelName } from '@bradyon/core/timing';
import {
  BASES,
  placeOfBag,
  type Bag,
  type Base,
  type Place,
  type TeamId,
} from '@bradyon/core/units';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** Where coaches stand who time. On 90 ft bases, along the foul lines; shorter bases are nearer. */
export const STANDS = {
  backstop: { text: 'Behind the backstop', place: { x: -21, y: -21 } },
  firstDugout: { text: 'First-base dugout', place: { x: 45, y: -40 } },
  thirdDugout: { text: 'Third-base dugout', place: { x: -40, y: 45 } },
  firstBox: { text: 'First-base box', place: { x: 88, y: -14 } },
  thirdBox: { text: 'Third-base box', place: { x: -14, y: 88 } },
} as const satisfies Record<string, { text: string; place: Place }>;
export type StandName = keyof typeof STANDS;
const BASES_DRAWN_FEET = 90;

/** A place of the list on this field. */
export function standAt(name: StandName, baseFeet: number): Place {
  const { x, y } = STANDS[name].place;
  const share = baseFeet / BASES_DRAWN_FEET;
  return { x: x * share, y: y * share };
}

const ROOM_CELSIUS = 20;

interface Standing {
  /** Where the device hears from, by team; absent: behind the backstop. */
  byTeam: Partial<Record<TeamId, Place>>;
  celsius: number;
}

/** Where the coach stands and how warm it is: kept on the device, over a reload. */
export const useStanding = create<Standing>()(
  persist((): Standing => ({ byTeam: {}, celsius: ROOM_CELSIUS }), { name: 'bradyon-ear' }),
);

export function standOf({ byTeam, celsius }: Standing, teamId: TeamId, baseFeet: number): Stand {
  return { place: byTeam[teamId] ?? standAt('backstop', baseFeet), celsius };
}

/** How late this device hears, as measured here; null: never. It is the device's, whoever uses it. */
export const useDeviceDelay = create<{ roundTripSeconds: number | null }>()(
  persist((): { roundTripSeconds: number | null } => ({ roundTripSeconds: null }), {
    name: 'bradyon-ear-delay',
  }),
);

/** The middle of a base. */
export function atBase(base: Base, baseFeet: number): Source {
  const place =
    base === 'home' ? { x: 0, y: 0 } : placeOfBag((BASES.indexOf(base) + 1) as Bag, baseFeet);
  return { place, sdFeet: AT_BASE_SD_FEET };
}

/** Where an outfielder has the ball, who plays where they usually do. */
export function inOutfield(fielder: Pick<Person, 'positions'> | null, level: LevelName): Source {
  const position: Outfielder = OUTFIELD.find((each) => fielder?.positions.includes(each)) ?? 'CF';
  const outfieldDepth = figureAt(BASES_FIGURES.outfieldDepth, level);
  return { place: usualOutfieldSpot(position, { outfieldDepth }), sdFeet: IN_OUTFIELD_SD_FEET };
}
