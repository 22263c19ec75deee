import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto';
import type { SignKey } from '../../signKeys.ts';

const CIPHER = 'aes-256-gcm';
const IV_BYTES = 12;
const TAG_BYTES = 16;
const KEY_BYTES = 32;

/**
 * Encrypts and authenticates. @param about what it belongs to: sealed for one team it does not open as another's
 */
function seal(key: Buffer, plain: Buffer, about: string): Buffer {
  const iv = randomBytes(IV_BYTES);
  const cipher = createCipheriv(CIPHER, key, iv, { authTagLength: TAG_BYTES });
  cipher.setAAD(Buffer.from(about));
  const body = Buffer.concat([cipher.update(plain), cipher.final()]);
  return Buffer.concat([iv, cipher.getAuthTag(), body]);
}

/** @throws Error when the key is another, or when what was sealed has been changed or moved */
function unseal(key: Buffer, sealed: Buffer, about: string): Buffer {
  const decipher = createDecipheriv(CIPHER, key, sealed.subarray(0, IV_BYTES), {
    authTagLength: TAG_BYTES,
  });
  decipher.setAAD(Buffer.from(about));
  decipher.setAuthTag(sealed.subarray(IV_BYTES, IV_BYTES + TAG_BYTES));
  return Buffer.concat([decipher.update(sealed.subarray(IV_BYTES + TAG_BYTES)), decipher.final()]);
}

/** A team's key, wrapped by one of the server's. */
export interface WrappedKey {
  keyId: string;
  wrappedKey: Buffer;
}

/** The keys of this server. */
export function makeVault(keys: readonly SignKey[]) {
  const [newest] = keys;
  if (!newest) throw new Error('makeVault needs a key');
  const teamKey = ({ keyId, wrappedKey }: WrappedKey, teamId: string): Buffer => {
    const found = keys.find(({ id }) => id === keyId);
    if (!found) throw new Error(`Signs are sealed by key ${keyId}, which SIGN_KEYS does not hold.`);
    return unseal(found.key, wrappedKey, `key ${teamId}`);
  };
  const wrap = (key: Buffer, teamId: string): WrappedKey => ({
    keyId: newest.id,
    wrappedKey: seal(newest.key, key, `key ${teamId}`),
  });
  return {
    /** A fresh key for a team. */
    freshKey: (teamId: string): WrappedKey => wrap(randomBytes(KEY_BYTES), teamId),
    /** The same key of the team, wrapped by the newest of the server's; null: it is already. */
    rewrapped: (old: WrappedKey, teamId: string): WrappedKey | null =>
      old.keyId === newest.id ? null : wrap(teamKey(old, teamId), teamId),
    sealBook: (book: unknown, key: WrappedKey, teamId: string): Buffer =>
      seal(teamKey(key, teamId), Buffer.from(JSON.stringify(book)), `signs ${teamId}`),
    openBook: (sealed: Buffer, key: WrappedKey, teamId: string): unknown =>
      JSON.parse(unseal(teamKey(key, teamId), sealed, `signs ${teamId}`).toString()),
  };
}
export type Vault = ReturnType<typeof makeVault>;
