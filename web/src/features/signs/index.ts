export { GiveSeries } from './GiveSeries.tsx';
export { GiveSign, WhoMissed, type Reader } from './GiveSign.tsx';
export { PlayerLink } from './PlayerLink.tsx';
export { useSignsDue } from './useSignsDue.ts';
