import { get, set } from 'idb-keyval';
import { kept } from './device.ts';
import { currentAccount } from './session.ts';

/**
 * What is secret lies on the device encrypted, by a key that no script can read out: a copy of the browser's
 * storage shows nothing. Signing out forgets both. Without a secure page nothing is kept.
 */
const KEY = 'key';
const ALGORITHM = { name: 'AES-GCM', length: 256 } as const;
const IV_BYTES = 12;

interface Sealed {
  iv: Uint8Array<ArrayBuffer>;
  body: ArrayBuffer;
}

async function deviceKey(): Promise<CryptoKey | null> {
  // Absent on a page that is not secure, whatever the types say.
  if (!('subtle' in crypto)) return null;
  const known = await get<CryptoKey>(KEY, kept.sealed);
  if (known) return known;
  const made = await crypto.subtle.generateKey(ALGORITHM, false, ['encrypt', 'decrypt']);
  await set(KEY, made, kept.sealed);
  return made;
}

/** Keeps a value under a name; a device that cannot keeps nothing. */
export async function keepSealed(name: string, value: unknown): Promise<void> {
  const key = await deviceKey().catch(() => null);
  if (!key) return;
  const iv = crypto.getRandomValues(new Uint8Array(IV_BYTES));
  const plain = new TextEncoder().encode(JSON.stringify(value));
  const body = await crypto.subtle.encrypt({ name: ALGORITHM.name, iv }, key, plain);
  // Signed out meanwhile, here or in another tab: nothing comes back onto the device.
  if (currentAccount() === null) return;
  await set(name, { iv, body } satisfies Sealed, kept.sealed);
}

/** @returns null when nothing is kept under the name, or it cannot be opened */
export async function readSealed<T>(name: string): Promise<T | null> {
  try {
    const [key, sealed] = [await deviceKey(), await get<Sealed>(name, kept.sealed)];
    if (!key || !sealed) return null;
    const { iv, body } = sealed;
    const plain = await crypto.subtle.decrypt({ name: ALGORITHM.name, iv }, key, body);
    return JSON.parse(new TextDecoder().decode(plain)) as T;
  } catch {
    return null;
  }
}
