import type { BuntTryRecord } from '@bradyon/contract/bunts';
import { BUNT_LANES, BUNT_PACES, type BuntLane, type BuntResult } from '@bradyon/core/bunts';
import { drawn, makeRandom, normalDraw } from '@bradyon/core/maths';
import type { Person } from '@bradyon/core/people';
import type { BuntTryId } from '@bradyon/core/units';
import { makeUuid } from './uuid.ts';

/** Bunters of practice: how many tries, how true, and where they lean. The first of the order, then on. */
const BUNTERS = [
  { tries: 44, sdLanes: 0.5, lean: 0, missed: 0.04 },
  { tries: 36, sdLanes: 0.9, lean: 0.4, missed: 0.1 },
  { tries: 12, sdLanes: 1.3, lean: -0.6, missed: 0.2 },
];
const HOUR_MS = 3_600_000;

/** Bunts of two practices; a source of its own, so that nothing else of the demo depends on them. */
export function demoBunts(order: readonly Person[], today: Date): BuntTryRecord[] {
  const random = makeRandom(77);
  return BUNTERS.flatMap(({ tries, sdLanes, lean, missed }, place) => {
    const person = order[place];
    if (!person) return [];
    return Array.from({ length: tries }, (_, nth): BuntTryRecord => {
      const aimed: BuntLane = random() < 0.6 ? 'third' : 'first';
      const results: BuntResult[] = ['fair', 'foul', 'missed', 'popped'];
      const result = results[drawn([0.72 - missed, 0.2, missed, 0.08], random)] ?? 'fair';
      const off = Math.round(normalDraw(random, lean, sdLanes));
      const lane = BUNT_LANES[Math.min(4, Math.max(0, BUNT_LANES.indexOf(aimed) + off))] ?? aimed;
      const isHit = result === 'fair' || result === 'popped';
      return {
        id: makeUuid(random) as BuntTryId,
        personId: person.id,
        undoes: null,
        result,
        aimed,
        lane: isHit ? lane : null,
        // A lane that wanders wanders in its pace too.
        calledPace: 'soft',
        pace: isHit ? (BUNT_PACES[drawn([sdLanes, 3, 2 * sdLanes], random)] ?? 'soft') : null,
        height: null,
        style: 'square',
        takenAt: new Date(
          today.getTime() - (nth < tries / 2 ? 98 : 50) * HOUR_MS + nth * 20_000,
        ).toISOString(),
      };
    });
  });
}
