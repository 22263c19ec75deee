export { useReadings } from './useReadings.ts';
