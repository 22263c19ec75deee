export {
  HANDS,
  POSITIONS,
  SIDES_OF_PLATE,
  byNumber,
  type Hand,
  type Opponent,
  type Person,
  type Position,
  type SideOfPlate,
} from './person.ts';
