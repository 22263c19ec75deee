export { GiveSign, WhoMissed, type Reader } from './GiveSign.tsx';
export { PlayerLink } from './PlayerLink.tsx';
