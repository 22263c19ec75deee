import type { Account } from '@bradyon/contract/accounts';
import type { AccountId } from '@bradyon/core/units';
import sql from 'sql-template-tag';
import { maybeOne, one, type Tx } from '../../db/query.ts';

export function insertAccount(
  tx: Tx,
  account: Pick<Account, 'id' | 'name' | 'email'>,
  passwordHash: string,
): Promise<Account> {
  const { id, name, email } = account;
  return one(
    tx,
    sql`insert into accounts (id, name, email, password_hash)
        values (${id}, ${name}, ${email}, ${passwordHash})
        returning id, name, email, false as demo`,
  );
}

export function selectAccount(tx: Tx, id: AccountId): Promise<Account | null> {
  return maybeOne(tx, sql`select id, name, email, demo from accounts where id = ${id}`);
}

export function selectPassword(
  tx: Tx,
  email: string,
): Promise<{ id: AccountId; passwordHash: string } | null> {
  return maybeOne(tx, sql`select id, password_hash as "passwordHash" from password_of(${email})`);
}

/** The account that the loaded demo signs in as; null when no demo is loaded. */
export async function selectDemoAccount(tx: Tx): Promise<AccountId | null> {
  return (await one<{ id: AccountId | null }>(tx, sql`select demo_account() as id`)).id;
}

/** The kept password of whoever is in scope. */
export async function selectOwnPassword(tx: Tx): Promise<string | null> {
  return (await one<{ kept: string | null }>(tx, sql`select own_password() as kept`)).kept;
}

export async function updatePassword(tx: Tx, passwordHash: string): Promise<void> {
  await tx.query(sql`update accounts set password_hash = ${passwordHash} where id = app_account()`);
}

/** Uses a code up. @returns null when this address has no such code open */
export async function resetPassword(
  tx: Tx,
  email: string,
  codeHash: Buffer,
  passwordHash: string,
): Promise<AccountId | null> {
  const { id } = await one<{ id: AccountId | null }>(
    tx,
    sql`select reset_password(${email}, ${codeHash}, ${passwordHash}) as id`,
  );
  return id;
}

/** Removes whoever is in scope. @returns false while they own a team */
export async function eraseAccount(tx: Tx): Promise<boolean> {
  return (await one<{ gone: boolean }>(tx, sql`select erase_account() as gone`)).gone;
}
