export { useBatting } from './useBatting.ts';
export { useNeeded } from './useNeeded.ts';
