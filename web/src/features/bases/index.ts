export { SendNote } from './SendNote.tsx';
