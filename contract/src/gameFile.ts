import type { Opponent, Person } from '@bradyon/core/people';
import { entryContract, gameFields, MOST_ENTRIES, type Entry, type Game } from './games.ts';
import { opponentContract, personContract } from './people.ts';
import { contract, instant, nullable, number, oneOf, required, rowsOf, text } from './rule.ts';

export const GAME_FILE_VERSION = 1;

/** One game as a file: what was told of it, and who is in it. Signs and calls stay with the team. */
export interface GameFile {
  format: 'bradyon-game';
  version: number;
  exportedAt: string;
  team: string;
  game: Game;
  opponent: Opponent | null;
  people: Person[];
  entries: Entry[];
}

/** What never goes into a file that others may read. */
export const TEAM_ONLY_KINDS: readonly string[] = ['sign', 'advice'];

const only = { min: GAME_FILE_VERSION, max: GAME_FILE_VERSION, whole: true };
export const gameFileContract = contract<GameFile>(
  {
    format: required(oneOf(['bradyon-game'], 'Choose a game file exported from Bradyon.')),
    version: required(number('This file is from another version. Bradyon opens version 1.', only)),
    exportedAt: required(instant('Say when the file was made.')),
    team: required(text('Name the team, up to 80 letters.', { max: 80 })),
    game: required(contract<Game>(gameFields)),
    opponent: required(nullable(opponentContract)),
    people: required(rowsOf(personContract, 500)),
    entries: required(rowsOf(entryContract, MOST_ENTRIES)),
  },
  ({ entries }) => {
    const wrong = entries.findIndex(({ seq }, index) => seq <= (entries[index - 1]?.seq ?? 0));
    return wrong < 0
      ? null
      : { path: `entries.${String(wrong)}.seq`, message: 'Entries stand in their order.' };
  },
);
