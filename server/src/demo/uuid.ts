import type { Random } from '@bradyon/core/maths';

/** A version 4 UUID out of a repeatable source: the demo is the same world every time. */
export function makeUuid(random: Random): string {
  const hex = Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16));
  hex[12] = '4';
  hex[16] = '89ab'[Math.floor(random() * 4)] ?? '8';
  const text = hex.join('');
  return [
    text.slice(0, 8),
    text.slice(8, 12),
    text.slice(12, 16),
    text.slice(16, 20),
    text.slice(20),
  ].join('-');
}
