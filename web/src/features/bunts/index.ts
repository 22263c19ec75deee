export { useBunters } from './useBunters.ts';
export { buntFigures } from './useBunt.ts';
export { useKnownBunt } from './useKnownBunt.ts';
