import type { Hand, Person } from '@bradyon/core/people';
import { standsInFor } from './standIns.ts';

/** @example personLabel({ number: '4', name: 'Dara Whitlock' }) // '4 Dara Whitlock' */
export function personLabel({ number, name }: Pick<Person, 'number' | 'name'>): string {
  return number === '' ? name : `${number} ${name}`;
}

/** Somebody as a box about them is headed. @example roleLabel(dara, 'runner') // '4 Dara Whitlock, runner' */
export function roleLabel(person: Person, role: string): string {
  return standsInFor(person) ? `Typical ${role}` : `${personLabel(person)}, ${role}`;
}

/** What is written beside a mark on the field. @example firstName(dara) // 'Dara' */
export function firstName(person: Person): string {
  return standsInFor(person) ? 'Typical' : (person.name.split(' ')[0] ?? '');
}

/** As they are called across a field. @example lastName(dara) // 'Whitlock' */
export function lastName(person: Person): string {
  return standsInFor(person) ? 'typical' : (person.name.split(' ').at(-1) ?? '');
}

export function handWord(hand: Hand): string {
  return hand === 'left' ? 'left-hander' : 'right-hander';
}
