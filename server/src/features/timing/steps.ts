import { isDeepStrictEqual } from 'node:util';
import type { Imported, ReadingStep, StepAnswer } from '@bradyon/contract/timing';
import type { Role } from '@bradyon/contract/teams';
import type { Reading, ReadingDraft } from '@bradyon/core/timing';
import type { AccountId, PersonId, ReadingId } from '@bradyon/core/units';
import type { Tx } from '../../db/query.ts';
import { Problem } from '../../http/problem.ts';
import * as timing from './timing.sql.ts';

const idOf = (step: ReadingStep): ReadingId =>
  step.step === 'add' ? step.draft.id : step.readingId;

/** What has to be known before a step can be taken. */
function asked(step: ReadingStep): { id: ReadingId; personId: PersonId | null }[] {
  if (step.step !== 'add') return [{ id: step.readingId, personId: null }];
  const { id, personId, movedFrom } = step.draft;
  return [{ id, personId }, ...(movedFrom === null ? [] : [{ id: movedFrom, personId: null }])];
}

/**
 * Adds those that are not there yet, all or none.
 * @throws Problem when a person was deleted
 */
export async function importReadings(tx: Tx, drafts: readonly ReadingDraft[]): Promise<Imported> {
  const added = new Set((await timing.insertReadings(tx, drafts)).map(({ id }) => id));
  const rest = await timing.selectKnown(
    tx,
    drafts.filter(({ id }) => !added.has(id)),
  );
  if (rest.some(({ reading, gone }) => reading === null && !gone)) {
    throw new Problem(422, 'One of the players was deleted. Choose the file again.');
  }
  return { added: added.size, alreadyThere: drafts.length - added.size };
}

/**
 * Takes the steps in their order, as `me`. Each is answered by itself: a refusal leaves the others
 * done. A step that was taken before is answered as it was then.
 */
export async function takeSteps(
  tx: Tx,
  me: { id: AccountId; role: Role },
  steps: readonly ReadingStep[],
): Promise<StepAnswer[]> {
  // Nearly always nothing but new times, none of which asks about another: they go in at once, and
  // only what did not is looked into.
  const drafts = steps.flatMap((step) => (step.step === 'add' ? [step.draft] : []));
  const apart = new Set(drafts.map(({ id }) => id)).size === steps.length;
  if (apart && drafts.every(({ movedFrom }) => movedFrom === null)) {
    const added = new Map((await timing.insertReadings(tx, drafts)).map((each) => [each.id, each]));
    const rest = steps.filter((step) => !added.has(idOf(step)));
    const answers = rest.length === 0 ? [] : await takeInTurn(tx, me, rest);
    const inTurn = new Map(rest.map((step, index) => [step, answers[index]]));
    return steps.flatMap((step): StepAnswer | [] => {
      const reading = added.get(idOf(step));
      return reading ? { ok: true, reading } : (inTurn.get(step) ?? []);
    });
  }
  return takeInTurn(tx, me, steps);
}

async function takeInTurn(
  tx: Tx,
  me: { id: AccountId; role: Role },
  steps: readonly ReadingStep[],
): Promise<StepAnswer[]> {
  const name = await timing.holdMarks(tx);
  const known = await timing.selectKnown(tx, steps.flatMap(asked));
  const now = new Map(known.flatMap(({ id, reading }) => (reading ? [[id, reading]] : [])));
  const gone = new Set(known.flatMap(({ id, gone }) => (gone ? [id] : [])));
  const people = new Set(known.map(({ personId }) => personId));

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
      return refusal(422, 'The time this one replaces is not here.', 'draft.movedFrom');
    }
    if (!people.has(draft.personId)) {
      return refusal(422, 'This player was deleted. Choose another player.', 'draft.personId');
    }
    const reading: Reading = {
      ...draft,
      timedBy: first?.timedBy ?? me.id,
      timedByName: first?.timedByName ?? name,
      asideReason: null,
      vouched: false,
    };
    now.set(draft.id, reading);
    added.add(draft.id);
    return { ok: true, reading };
  };

  const answers = steps.map((step): StepAnswer => {
    if (step.step === 'add') return add(step.draft);
    const id = idOf(step);
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
