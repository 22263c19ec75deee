import type { SignUp } from '@bradyon/contract/accounts';
import type { Misfit } from '@bradyon/contract/rule';
import { dictionary } from '@zxcvbn-ts/language-common';
import { hash, verify } from 'argon2';

const COMMON = new Set<string>(dictionary['passwords-common']);
const plain = (text: string): string => text.toLowerCase().replaceAll(/\s+/g, '');

/** Why a password is one of the first that anybody would try, or null. */
export function commonMisfit(
  password: string,
  { email, name }: Pick<SignUp, 'email' | 'name'>,
): Misfit | null {
  const tried = plain(password);
  const isOwn = [email, email.split('@')[0] ?? '', name].some((own) => plain(own) === tried);
  const isOneSign = new Set(tried).size < 3;
  return COMMON.has(tried) || isOwn || isOneSign
    ? {
        path: 'password',
        message: 'This password is too common. Try three or four random words.',
      }
    : null;
}

/** argon2id with the package's own recommended cost. */
export function hashPassword(password: string): Promise<string> {
  return hash(password);
}

/** Costs the same whether or not there is an account, so that the answer's time tells nothing. */
export async function passwordFits(kept: string | null, password: string): Promise<boolean> {
  const fits = await verify(kept ?? (await nobody()), password);
  return kept !== null && fits;
}

let nobodysHash: Promise<string> | undefined;
function nobody(): Promise<string> {
  nobodysHash ??= hash('nobody has this password');
  return nobodysHash;
}
