import { hkdfSync } from 'node:crypto';

/** A key that wraps others, with the name by which what it wrapped is found again. */
export interface SignKey {
  id: string;
  key: Buffer;
}

const KEY_BYTES = 32;

/**
 * The keys of SIGN_KEYS, as `name:base64` with commas between, the newest first. Last of all one that is made of
 * the session secret: what it wrapped stays readable as long as that secret is the same.
 */
export function signKeysFrom(text: string | undefined, sessionSecret: string): SignKey[] {
  const named = (text ?? '').split(',').flatMap((part): SignKey[] => {
    if (part.trim() === '') return [];
    const [id = '', base64 = ''] = part.trim().split(':');
    const key = Buffer.from(base64, 'base64');
    if (id === '' || key.length !== KEY_BYTES) {
      throw new Error('Set SIGN_KEYS to name:key pairs; a key is 32 bytes in base64.');
    }
    return [{ id, key }];
  });
  const made = hkdfSync('sha256', sessionSecret, '', 'bradyon signs', KEY_BYTES);
  return [...named, { id: 'session', key: Buffer.from(made) }];
}
