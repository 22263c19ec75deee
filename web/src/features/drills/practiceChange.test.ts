import type { PersonId, PracticeId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { overKept, partsText, withWaiting, type KeptPractice } from './practiceChange.ts';

const practice = (parts: Partial<KeptPractice> = {}): KeptPractice => ({
  id: 'p' as PracticeId,
  version: 3,
  name: 'Tuesday',
  startsAt: '2031-05-01T17:30:00.000Z',
  warmUpMinutes: 15,
  closeMinutes: 5,
  changeMinutes: 2,
  slotMinutes: 12,
  water: { minutes: 3, everySlots: 2 },
  coaches: 3,
  order: ['starts', 'reads'],
  own: [],
  groups: [['a'], ['b']] as PersonId[][],
  notes: '',
  ...parts,
});
const change = (from: KeptPractice, parts: Partial<KeptPractice>) => {
  const { version: _version, ...to } = { ...from, ...parts };
  return { from, to };
};

describe('a practice changed by two', () => {
  it('keeps what each changed where they changed different things', () => {
    const mine = change(practice(), { coaches: 4 });
    const kept = practice({ version: 9, notes: 'Bring cones', order: ['tags'] });
    const { practice: made, lost } = overKept(mine, kept);
    expect(lost).toEqual([]);
    expect(made).toMatchObject({ coaches: 4, notes: 'Bring cones', order: ['tags'] });
    expect(made).not.toHaveProperty('version');
  });

  it('lets what is kept stand where both changed the same, and says what is lost', () => {
    const mine = change(practice(), { order: ['bunts'], coaches: 1 });
    const { practice: made, lost } = overKept(mine, practice({ version: 9, order: ['tags'] }));
    expect(lost).toEqual(['order']);
    expect(partsText(['order', 'slotMinutes', 'closeMinutes'])).toBe('stations, minutes');
    expect(made).toMatchObject({ order: ['tags'], coaches: 1 });
  });

  it('loses nothing where both did the same, or it had arrived before', () => {
    const mine = change(practice(), { order: ['tags'], water: { minutes: 2, everySlots: 3 } });
    // As the database gives it back: the parts in another order.
    const kept = practice({ version: 9, order: ['tags'], water: { everySlots: 3, minutes: 2 } });
    const { practice: made, lost } = overKept(mine, kept);
    expect(lost).toEqual([]);
    expect(made).toMatchObject({ order: ['tags'], water: { minutes: 2, everySlots: 3 } });
  });
});

describe('practices with what waits to be sent', () => {
  const later = practice({ id: 'q' as PracticeId, startsAt: '2031-05-09T17:30:00.000Z' });

  it('are shown as they will be, the latest first', () => {
    const { version: _version, ...fresh } = later;
    const shown = withWaiting(
      [practice()],
      [change(practice(), { name: 'Wet' }), { from: null, to: fresh }],
    );
    expect(shown.map(({ id, name, version }) => [id, name, version])).toEqual([
      ['q', 'Tuesday', 0],
      ['p', 'Wet', 3],
    ]);
  });

  it('are gone once they are deleted, and back when that is undone', () => {
    const { version: _version, ...again } = practice();
    const gone = { from: practice(), to: null };
    expect(withWaiting([practice(), later], [gone]).map(({ id }) => id)).toEqual(['q']);
    expect(withWaiting([practice()], [gone, { from: null, to: again }])).toHaveLength(1);
  });
});
