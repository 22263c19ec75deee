export { PersonSelect, SideSelect } from './PersonSelect.tsx';
export { resolvePlaying, type Playing, type Side } from './playing.ts';
export { handWord, personLabel } from './words.ts';
export { usePeople, usePerson } from './usePeople.ts';
export { usePlaying } from './usePlaying.ts';
