export {
  BATTING_COLUMNS,
  readBatting,
  writeBatting,
  type BattingColumn,
  type Season,
} from './batting.ts';
export { BUNT_COLUMNS, readBunts, writeBunts, type BuntColumn, type BuntOfFile } from './bunts.ts';
export {
  PERSON_COLUMNS,
  readPeople,
  writePeople,
  type MakeId,
  type PersonColumn,
} from './people.ts';
export {
  READING_COLUMNS,
  readReadings,
  writeReadings,
  type DistanceUnit,
  type ReadingColumn,
} from './readings.ts';
export { matchColumns, unmatched, type Column, type Matching, type Row } from './table.ts';
