import type { ReadingStep } from '@bradyon/contract/timing';
import { aReading } from '@bradyon/core/testing';
import type { Reading } from '@bradyon/core/timing';
import type { AccountId, PersonId, ReadingId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import { makeTeamReadings } from './teamReadings.ts';

const [ines, dara] = ['ines' as PersonId, 'dara' as PersonId];
const coach = { id: 'coach' as AccountId, name: 'Marit' };
const at = (minute: number): string => `2031-05-01T17:${String(minute).padStart(2, '0')}:00.000Z`;
const reading = (id: string, personId: PersonId, minute: number): Reading => ({
  ...aReading({ id: id as ReadingId, personId, takenAt: at(minute) }),
});
const draftOf = ({
  timedBy: _by,
  timedByName: _name,
  asideReason: _aside,
  vouched: _vouched,
  ...draft
}: Reading) => draft;
const add = (each: Reading): ReadingStep => ({ step: 'add', draft: draftOf(each) });
const judge = (id: string, reason: Reading['asideReason']): ReadingStep => ({
  step: 'judge',
  readingId: id as ReadingId,
  reason,
  vouched: false,
});

/** The readings of a team with some kept already. */
function aTeam(...kept: Reading[]) {
  const rows = new Map(kept.map((each) => [each.id, each]));
  const readings = makeTeamReadings(rows);
  readings.keptChanged([...rows.keys()]);
  const put = (each: Reading): void => {
    rows.set(each.id, each);
    readings.keptChanged([each.id]);
  };
  const drop = (id: string): void => {
    rows.delete(id as ReadingId);
    readings.keptChanged([id as ReadingId]);
  };
  const idsOf = (personId: PersonId) =>
    readings
      .now()
      .of(personId)
      .map(({ id }) => id);
  return { readings, put, drop, idsOf };
}

describe('the readings of a team', () => {
  it('are each person’s, the newest first, whatever the order in which they came', () => {
    const { readings, idsOf } = aTeam(
      reading('b', ines, 2),
      reading('a', ines, 1),
      reading('c', dara, 3),
    );
    expect([idsOf(ines), idsOf(dara)]).toEqual([['b', 'a'], ['c']]);
    expect(
      readings
        .now()
        .all()
        .map(({ id }) => id),
    ).toEqual(['c', 'b', 'a']);
  });

  it('change for the person they are of and nobody else', () => {
    const { readings, put } = aTeam(reading('a', ines, 1), reading('c', dara, 3));
    const before = [readings.now().of(ines), readings.now().of(dara)];
    put(reading('d', ines, 4));
    const after = [readings.now().of(ines), readings.now().of(dara)];
    expect(after[0]).not.toBe(before[0]);
    expect(after[1]).toBe(before[1]);
  });

  it('stay where they were when an old one is judged', () => {
    const { readings, put, idsOf } = aTeam(reading('a', ines, 1), reading('b', ines, 2));
    put({ ...reading('a', ines, 1), asideReason: 'wrong tap' });
    expect(idsOf(ines)).toEqual(['b', 'a']);
    readings.pendingChanged([judge('a', null)], coach);
    expect(idsOf(ines)).toEqual(['b', 'a']);
    expect(readings.now().of(ines)[1]?.asideReason).toBeNull();
  });

  it('hold what is tapped before it is saved, once, under whoever tapped it', () => {
    const { readings, put, idsOf } = aTeam(reading('a', ines, 1));
    const tapped = reading('b', ines, 2);
    readings.pendingChanged([add(tapped), judge('b', 'wrong tap')], coach);
    expect(idsOf(ines)).toEqual(['b', 'a']);
    expect(readings.now().of(ines)[0]).toMatchObject({
      timedBy: 'coach',
      timedByName: 'Marit',
      asideReason: 'wrong tap',
    });
    // The server has it before the outbox has forgotten it.
    put(tapped);
    expect(idsOf(ines)).toEqual(['b', 'a']);
    readings.pendingChanged([], coach);
    expect(readings.now().of(ines)[0]?.asideReason).toBeNull();
  });

  it('lose what is deleted, here at once and elsewhere when it is told', () => {
    const { readings, drop, idsOf } = aTeam(reading('a', ines, 1), reading('b', ines, 2));
    readings.pendingChanged([{ step: 'delete', readingId: 'a' as ReadingId }], coach);
    expect(idsOf(ines)).toEqual(['b']);
    readings.pendingChanged([], coach);
    expect(idsOf(ines)).toEqual(['b', 'a']);
    drop('b');
    expect(idsOf(ines)).toEqual(['a']);
  });

  it('keep who timed a reading that is moved to another person', () => {
    const first = { ...reading('a', ines, 1), timedBy: 'teo' as AccountId, timedByName: 'Teo' };
    const { readings } = aTeam(first);
    const moved = { ...reading('b', dara, 1), movedFrom: first.id };
    readings.pendingChanged([add(moved), judge('a', 'wrong person')], coach);
    expect(readings.now().of(dara)[0]).toMatchObject({ timedBy: 'teo', timedByName: 'Teo' });
    expect(readings.now().of(ines)[0]?.asideReason).toBe('wrong person');
  });

  it('are of one moment: a screen that still draws the one before does not hold up the next', () => {
    const { readings, put } = aTeam(reading('a', ines, 1));
    const before = readings.now();
    before.of(ines);
    put(reading('b', ines, 2));
    expect(before.all()).toHaveLength(1);
    expect(readings.now().all()).toHaveLength(2);
  });
});
