import { createHash, randomInt } from 'node:crypto';

/** No letters and figures that are read for one another aloud or on paper. */
const ALPHABET = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';
const LENGTH = 8;

/** A fresh invitation code, like K7QD-93XM: 39 bits, tried at most a few times a minute. */
export function makeCode(): string {
  const letters = Array.from({ length: LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]);
  return `${letters.slice(0, 4).join('')}-${letters.slice(4).join('')}`;
}

/** What is kept of a code. Case, dash and blanks do not matter to whoever types it. */
export function hashCode(code: string): Buffer {
  const plain = code.toUpperCase().replaceAll(/[^\dA-Z]/g, '');
  return createHash('sha256').update(plain).digest();
}
