export { GiveSign, WhoMissed, type Reader } from './GiveSign.tsx';
