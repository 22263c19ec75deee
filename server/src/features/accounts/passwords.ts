import { hash, verify } from 'argon2';

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
