import type { Team } from '@bradyon/contract/teams';
import { mean } from '@bradyon/core/maths';
import { personLabel, usePeople } from '../people/index.ts';
import { useTimes } from '../timing/index.ts';
import type { OpponentLook } from './moves.ts';

/** The drawn delivery takes this long from the first move to the mitt, seconds. */
const DRAWN_SECONDS = 1.45;
const LEAST_TIMED = 3;

/** Opponents' pitchers whose deliveries are timed, and how the chosen one would move. */
export function useOpponentLook(team: Team, pitcherId: string) {
  const { people, opponents } = usePeople(team.id);
  const times = useTimes(team);
  const timed = people.flatMap((person) => {
    if (person.opponentId === null || person.retired || !person.positions.includes('P')) return [];
    const own = times.readingsOf(person.id).filter(({ asideReason }) => asideReason === null);
    const deliveries = own.filter(({ kind }) => kind === 'delivery');
    const holds = own.filter(({ kind }) => kind === 'hold');
    return deliveries.length < LEAST_TIMED ? [] : [{ person, deliveries, holds }];
  });
  const names = new Map(opponents.map(({ id, name }) => [id, name]));
  const chosen = timed.find(({ person }) => person.id === pitcherId);
  return {
    options: timed.map(({ person }) => ({
      value: person.id,
      text: `${personLabel(person)}, ${(person.opponentId && names.get(person.opponentId)) ?? ''}`,
    })),
    chosen: chosen?.person ?? null,
    look: chosen
      ? ({
          tempo: mean(chosen.deliveries.map(({ seconds }) => seconds)) / DRAWN_SECONDS,
          isSlideStep:
            chosen.deliveries.filter(({ style }) => style === 'slideStep').length >
            chosen.deliveries.length / 2,
          holdSeconds: chosen.holds.map(({ seconds }) => seconds),
        } satisfies OpponentLook)
      : null,
  };
}
