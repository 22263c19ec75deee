export { DeletePerson } from './DeletePerson.tsx';
export { PersonSelect } from './PersonSelect.tsx';
export {
  CatcherSelect,
  FacingSelect,
  PitcherSelect,
  RunnerSelect,
  RunningSelect,
} from './PlayingSelects.tsx';
export { handWord, personLabel } from './words.ts';
export { usePeople, usePerson, useSavePerson } from './usePeople.ts';
export { usePlaying } from './usePlaying.ts';
