export { SendRound } from './SendRound.tsx';
