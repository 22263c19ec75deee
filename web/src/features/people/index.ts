export { DeletePerson } from './DeletePerson.tsx';
export { PersonSelect } from './PersonSelect.tsx';
export {
  CatcherSelect,
  FacingSelect,
  PitcherSelect,
  RaceSelects,
  RunnerSelect,
  RunningSelect,
} from './PlayingSelects.tsx';
export { orTypical, standsInFor, type RaceRole } from './standIns.ts';
export { firstName, handWord, lastName, personLabel, roleLabel } from './words.ts';
export { usePeople, usePerson, useSaveOpponent, useSavePerson } from './usePeople.ts';
export { usePlaying } from './usePlaying.ts';
export { addOpponents, addPeople } from './writes.ts';
