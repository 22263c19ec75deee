import type { Reading } from '@bradyon/core/timing';
import { aReading } from '@bradyon/core/testing';
import type { AccountId, ReadingId, TeamId } from '@bradyon/core/units';
import { describe, expect, it } from 'vitest';
import type { OutboxItem } from '../../api/index.ts';
import { withOutbox } from './withOutbox.ts';

const teamId = 'team' as TeamId;
const account = { id: 'me' as AccountId, name: 'Marit', email: 'm@example.org' };

function reading(id: string, takenAt: string): Reading {
  return aReading({
    id: id as ReadingId,
    takenAt,
    timedBy: 'other' as AccountId,
    timedByName: 'Teo',
  });
}

function added({
  timedBy: _by,
  timedByName: _name,
  asideReason: _aside,
  vouched: _vouched,
  ...draft
}: Reading): OutboxItem {
  return { teamId, write: 'reading', draft };
}

describe('withOutbox', () => {
  const old = reading('old', '2031-05-01T10:00:00.000Z');
  const tapped = reading('tapped', '2031-05-02T10:00:00.000Z');

  it('shows a tap at once, the newest first, as timed by who is signed in', () => {
    const shown = withOutbox([old], [added(tapped)], account);
    expect(shown.map(({ id }) => id)).toEqual(['tapped', 'old']);
    expect(shown[0]).toMatchObject({ timedByName: 'Marit', asideReason: null });
  });

  it('shows it once when the server has it already', () => {
    expect(withOutbox([tapped, old], [added(tapped)], account)).toHaveLength(2);
  });

  it('moves a reading to another person without changing who timed it', () => {
    const moved = { ...added(old), draft: { ...old, id: 'moved' as ReadingId, movedFrom: old.id } };
    const shown = withOutbox([old], [{ ...moved, teamId, write: 'reading' }], account);
    expect(shown.find(({ id }) => id === 'moved')?.timedByName).toBe('Teo');
  });

  it('follows setting aside and bringing back in the order tapped', () => {
    const aside = (reason: Reading['asideReason']): OutboxItem => ({
      teamId,
      write: 'judge',
      readingId: tapped.id,
      reason,
      vouched: false,
    });
    const items = [added(tapped), aside('wrong tap')];
    expect(withOutbox([], items, account)[0]?.asideReason).toBe('wrong tap');
    expect(withOutbox([], [...items, aside(null)], account)[0]?.asideReason).toBeNull();
  });
});
