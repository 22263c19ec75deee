export { useBunters } from './useBunters.ts';
export { useKnownBunt } from './useKnownBunt.ts';
