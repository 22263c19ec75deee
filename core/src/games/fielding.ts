import { OUTFIELD, type FielderLook, type Outfielder } from '../bases/index.ts';
import type { PersonId } from '../units/index.ts';
import { defenceOf } from './lineUp.ts';
import { recordsOf } from './records.ts';
import type { GameState, PlayRecord } from './state.ts';

/** What a game tells of an outfielder. */
export interface LookOfGame {
  personId: PersonId;
  look: FielderLook;
}

/**
 * What a game shows of the outfielders: balls on the ground that were fielded clean or bobbled, and throws for an out
 * that came by the cutoff man. How they came in on the ball nobody tells in a game.
 */
export function looksOf(state: GameState | null): LookOfGame[] {
  return recordsOf(state).flatMap((record) => {
    const found = fieldedBy(record);
    if (found === null) return [];
    const { personId, position, isError } = found;
    const looks: LookOfGame[] = [{ personId, look: isError ? 'bobbles' : 'clean' }];
    for (const { told, isOut } of record.moves) {
      const [first, ...others] = told?.by ?? [];
      if (isOut && first === position && others.length > 1) {
        looks.push({ personId, look: 'hitsCutoff' });
      }
    }
    return looks;
  });
}

function fieldedBy({ event, fielding }: PlayRecord): {
  personId: PersonId;
  position: Outfielder;
  isError: boolean;
} | null {
  if (event.kind !== 'pitch' || event.result !== 'inPlay' || !event.ball) return null;
  const { result, contact, fielders } = event.ball;
  const isHit = result === 'single' || result === 'double' || result === 'triple';
  if (contact === 'fly' || contact === 'pop' || !(isHit || result === 'error')) return null;
  const position = OUTFIELD.find((each) => each === fielders?.[0]);
  const personId = position && defenceOf(fielding)[position];
  return personId ? { personId, position, isError: result === 'error' } : null;
}
