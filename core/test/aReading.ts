import type { Reading } from '../src/timing/index.ts';
import type { AccountId, PersonId, ReadingId } from '../src/units/index.ts';

let serial = 0;

/** A reading for a test: a delivery with a leg lift, unless told otherwise. */
export function aReading(parts: Partial<Reading> = {}): Reading {
  serial += 1;
  const kind = parts.kind ?? 'delivery';
  return {
    id: `reading-${String(serial)}` as ReadingId,
    personId: 'person' as PersonId,
    kind,
    seconds: 1.4,
    base: null,
    style: kind === 'delivery' ? 'legLift' : null,
    leadFeet: null,
    start: null,
    fromFeet: null,
    toFeet: null,
    method: 'thumb',
    resolutionSeconds: null,
    movedFrom: null,
    takenAt: '2031-05-01T10:00:00.000Z',
    timedBy: 'coach' as AccountId,
    timedByName: 'Marit',
    asideReason: null,
    vouched: false,
    ...parts,
  };
}
