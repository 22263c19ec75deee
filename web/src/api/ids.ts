import type { Id } from '@bradyon/core/units';

/**
 * A fresh id for something made on this device. Not `crypto.randomUUID`, which browsers keep from
 * plain http pages: the address on a field's own network is often one.
 */
export function newId<T extends Id<string>>(): T {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  const parts = [
    hex.slice(0, 8),
    hex.slice(8, 12),
    hex.slice(12, 16),
    hex.slice(16, 20),
    hex.slice(20),
  ];
  return parts.join('-') as T;
}
