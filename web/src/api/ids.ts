import type { Id } from '@bradyon/core/units';
import { v4 } from 'uuid';

/**
 * A fresh id for something made on this device. The package falls back where browsers keep
 * `crypto.randomUUID` from plain http pages: the address on a field's own network is often one.
 */
export function newId<T extends Id<string>>(): T {
  return v4() as T;
}
