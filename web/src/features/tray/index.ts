export { SaveState } from './SaveState.tsx';
