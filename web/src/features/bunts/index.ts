export { useBunters } from './useBunters.ts';
