import { isDeepStrictEqual } from 'node:util';
import type { Account } from '@bradyon/contract/accounts';
import type { ReadingStep, StepAnswer } from '@bradyon/contract/timing';
import type { Role } from '@bradyon/contract/teams';
import type { Reading, ReadingDraft } from '@bradyon/core/timing';
import type { PersonId, ReadingId } from '@bradyon/core/units';
import type { Tx } from '../../db/query.ts';
import * as timing from './timing.sql.ts';

const idOfStep = (step: ReadingStep): ReadingId =>
  step.step === 'add' ? step.draft.id : step.readingId;

/**
 * Takes the steps in their order, as `me`. Each is answered by itself: a refusal leaves the others
 * done. A step that was taken before is answered as it was then.
 */
export async function takeSteps(
  tx: Tx,
  me: Pick<Account, 'id' | 'name'> & { role: Role },
  steps: readonly ReadingStep[],
): Promise<StepAnswer[]> {
  // Holds the team's marks from here on, so that two devices take their steps one after the other.
  await timing.takeMarks(tx, 0);
  const drafts = steps.flatMap((step) => (step.step === 'add' ? [step.draft] : []));
  const movedFrom = drafts.flatMap((draft) => draft.movedFrom ?? []);
  const kept = await timing.selectReadings(tx, [...steps.map(idOfStep), ...movedFrom]);
  const gone = new Set(await timing.selectGone(tx, steps.map(idOfStep)));
  const people = new Set<PersonId>(
    await timing.holdPeople(tx, [...new Set(drafts.map(({ personId }) => personId))]),
  );

  const now = new Map(kept.map((reading) => [reading.id, reading]));
  const added = new Set<ReadingId>();
  const judged = new Set<ReadingId>();
  const deleted = new Set<ReadingId>();

  const add = (draft: ReadingDraft): StepAnswer => {
    if (gone.has(draft.id)) return refusal(410, 'This time was deleted.');
    const there = now.get(draft.id);
    if (there) {
      return isSame(draft, there)
        ? { ok: true, reading: there }
        : refusal(409, 'This id already stands for something else. Make a new one.', 'draft.id');
    }
    const first = draft.movedFrom === null ? undefined : now.get(draft.movedFrom);
    if (draft.movedFrom !== null && !first) {
      return refusal(422, 'The time that this one replaces is not known here.', 'draft.movedFrom');
    }
    if (!people.has(draft.personId)) {
      return refusal(422, 'This player was deleted. Choose somebody else.', 'draft.personId');
    }
    const reading: Reading = {
      ...draft,
      timedBy: first?.timedBy ?? me.id,
      timedByName: first?.timedByName ?? me.name,
      asideReason: null,
      vouched: false,
    };
    now.set(draft.id, reading);
    added.add(draft.id);
    return { ok: true, reading };
  };

  const answers = steps.map((step): StepAnswer => {
    if (step.step === 'add') return add(step.draft);
    const id = step.readingId;
    const there = now.get(id);
    if (step.step === 'delete') {
      if (!there) return { ok: true, reading: null };
      if (me.role !== 'owner' && there.timedBy !== me.id) {
        return refusal(403, 'Only the coach who timed it and the owner of the team can delete it.');
      }
      now.delete(id);
      gone.add(id);
      deleted.add(id);
      return { ok: true, reading: null };
    }
    if (!there) {
      return gone.has(id)
        ? refusal(410, 'This time was deleted.')
        : refusal(404, 'This time is not there.');
    }
    const { reason, vouched } = step;
    const reading: Reading = { ...there, asideReason: reason, vouched };
    now.set(id, reading);
    judged.add(id);
    return { ok: true, reading };
  });

  const still = (ids: ReadonlySet<ReadingId>): Reading[] =>
    [...ids].flatMap((id) => now.get(id) ?? []);
  await timing.restoreReadings(
    tx,
    // Where it came from is forgotten with that one.
    still(added).map((each) => ({
      ...each,
      movedFrom: each.movedFrom !== null && deleted.has(each.movedFrom) ? null : each.movedFrom,
    })),
  );
  await timing.updateJudgements(
    tx,
    still(judged).filter(({ id }) => !added.has(id)),
  );
  await timing.deleteReadings(tx, [...deleted]);
  return answers;
}

/** Whether a draft is the one that was kept. Who it was moved from is forgotten when that one is deleted. */
function isSame(draft: ReadingDraft, kept: Reading): boolean {
  return Object.entries(draft).every(
    ([key, value]) =>
      isDeepStrictEqual(kept[key as keyof Reading], value) ||
      (key === 'movedFrom' && kept.movedFrom === null),
  );
}

function refusal(status: number, detail: string, path?: string): StepAnswer {
  const errors = path === undefined ? [] : [{ path, message: detail }];
  return { ok: false, status, detail, errors };
}
