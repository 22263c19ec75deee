import type { Hand, Person } from '@bradyon/core/people';

/** @example personLabel({ number: '4', name: 'Dara Whitlock' }) // '4 Dara Whitlock' */
export function personLabel({ number, name }: Pick<Person, 'number' | 'name'>): string {
  return number === '' ? name : `${number} ${name}`;
}

export function handWord(hand: Hand): string {
  return hand === 'left' ? 'left-hander' : 'right-hander';
}
