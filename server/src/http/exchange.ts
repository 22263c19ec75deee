import { isDeepStrictEqual } from 'node:util';
import type { Contract } from '@bradyon/contract/rule';
import type { Id } from '@bradyon/core/units';
import type { Request, Response } from 'express';
import { Problem, misfits, notFound } from './problem.ts';

/** A value as its contract has it; a refusal naming each field otherwise. */
export function checkedBy<T>(contract: Contract<T>, value: unknown): T {
  const checked = contract.check(value);
  if (!checked.ok) throw misfits(checked.errors);
  return checked.value;
}

/** The body of a request as its contract has it. */
export function bodyOf<T>(req: Request, contract: Contract<T>): T {
  return checkedBy(contract, req.body);
}

const UUID = /^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/;

/** An id from the path. What is no id names nothing, so it is not found. */
export function idOf<T extends Id<string>>(req: Request, name: string): T {
  const value = req.params[name];
  if (typeof value !== 'string' || !UUID.test(value)) {
    throw notFound('There is nothing at this address.');
  }
  return value as T;
}

/** The body of a PUT: its id has to be the one in the path. */
export function replacementOf<T extends { id: Id<string> }>(
  req: Request,
  contract: Contract<T>,
  idInPath = idOf<T['id']>(req, 'id'),
): T {
  const body = bodyOf(req, contract);
  if (body.id !== idInPath) {
    throw misfits([{ path: 'id', message: 'Send the id that is in the address.' }]);
  }
  return body;
}

/**
 * What to say when a change was made from an older version than the one that is kept: each field in
 * which the two differ, and what is kept now.
 * @param current null: there is no such thing any more
 */
export function staleOr404<Row extends object>(
  changed: Row | null,
  sent: object,
  current: Row | null,
  missing: string,
): Row {
  if (changed) return changed;
  if (!current) throw notFound(missing);
  const now = new Map(Object.entries(current));
  const errors = Object.entries(sent)
    .filter(([key, value]) => key !== 'version' && !isDeepStrictEqual(now.get(key), value))
    .map(([path]) => ({ path, message: `It is now ${shortly(now.get(path))}.` }));
  throw new Problem(409, CHANGED_MEANWHILE, errors, undefined, current);
}
function shortly(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'empty';
  return typeof value === 'object' ? 'something else' : JSON.stringify(value);
}
const CHANGED_MEANWHILE =
  'Another coach just changed this. Check what is there now, then save again.';

/** Sends a reply, held against its contract where the configuration asks for it. */
export type Reply = <T>(res: Response, contract: Contract<T>, value: T, status?: number) => void;

export function makeReply(checkReplies: boolean): Reply {
  return (res, contract, value, status = 200) => {
    if (checkReplies) {
      const checked = contract.check(value);
      if (!checked.ok) {
        throw new Error(`reply breaks its contract: ${JSON.stringify(checked.errors)}`);
      }
    }
    res.status(status).json(value);
  };
}

/**
 * What a create has to answer when the client may be repeating itself: the new row with 201, the
 * same row again with 200, and a refusal when the id already stands for something else.
 */
export async function createdOnce<Draft extends object, Row extends Draft>(
  draft: Draft,
  inserted: Row | null,
  readBack: () => Promise<Row | null>,
): Promise<{ row: Row; status: 200 | 201 }> {
  if (inserted) return { row: inserted, status: 201 };
  const kept = await readBack();
  const same =
    kept !== null &&
    Object.entries(draft).every(([key, value]) => isDeepStrictEqual(kept[key as keyof Row], value));
  if (!same) throw new Problem(409, 'This id already stands for something else. Make a new one.');
  return { row: kept, status: 200 };
}
