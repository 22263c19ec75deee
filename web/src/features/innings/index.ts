export { useNeeded } from './useNeeded.ts';
