export { SendRound } from './SendRound.tsx';
export { PlayerReads } from './PlayerReads.tsx';
