export { useBunters } from './useBunters.ts';
export { useKnownBunt } from './useKnownBunt.ts';
export type { KnownBunt } from './bunts.worker.ts';
