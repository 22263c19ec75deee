export { DeletePerson } from './DeletePerson.tsx';
export { PersonSelect, SideSelect } from './PersonSelect.tsx';
export { handWord, personLabel } from './words.ts';
export { usePeople, usePerson } from './usePeople.ts';
export { usePlaying } from './usePlaying.ts';
