import type { BattingRates } from '../innings/index.ts';
import type { Random } from '../maths/index.ts';
import type { GameEvent, Place } from './events.ts';
import { playOn } from './madeUp.ts';

/** How a made-up game is played against whatever takes entries. */
export interface PlayThrough {
  /** The opening, as it was sent. */
  opened: GameEvent;
  random: Random;
  rates: BattingRates;
  newId: () => string;
  nowIso: () => string;
  /** Sends what one device tells. */
  send: (event: GameEvent) => Promise<void>;
  /** The pause before the next entry; false ends the game here. */
  wait: () => Promise<boolean>;
}

/** So often the third-base coach tells a pitch too that the bench has told. */
const TOLD_TWICE = 0.25;

/**
 * Plays a whole made-up game from three devices: the bench tells the pitches, first base the throws over and the
 * steals, third base some of the pitches once more.
 * @returns how many entries were sent
 */
export async function playThrough(play: PlayThrough): Promise<number> {
  const { opened, random, rates, newId, nowIso, send, wait } = play;
  const envelope = (place: Place) => ({
    id: newId(),
    device: `played ${place}`,
    place,
    at: nowIso(),
  });
  let sent = 0;
  const teller = ({ kind }: { kind: string }) =>
    envelope(kind === 'pick' || kind === 'steal' ? 'first' : 'bench');
  for (const event of playOn([opened], random, rates, teller)) {
    await send(event);
    sent += 1;
    if (event.kind === 'pitch' && random() < TOLD_TWICE) {
      await send({ ...event, ...envelope('third') });
      sent += 1;
    }
    if (!(await wait())) break;
  }
  return sent;
}
