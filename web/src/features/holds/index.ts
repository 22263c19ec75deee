export { HoldNow } from './HoldNow.tsx';
