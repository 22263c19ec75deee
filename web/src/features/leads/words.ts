import type {
  BestLead,
  Corner,
  DiveResult,
  LeadMode,
  SecondPick,
  Stride,
} from '@bradyon/core/leads';
import { distanceDown } from '../../ui/distance.ts';
import { timesCount } from '../../ui/format.ts';
import type { ThirdSchool } from './leadStore.ts';
import type { Expected } from './useLeads.ts';

export const MODE_TEXT: Record<LeadMode, string> = {
  twoWay: 'Two-way',
  oneWay: 'One-way',
  going: 'Going',
};
export const CORNER_TEXT: Record<Corner, string> = { back: 'Back corner', front: 'Front corner' };
export const STRIDE_TEXT: Record<Stride, string> = { big: 'Two big', small: 'Three small' };
export const RISK_TEXT: Record<string, string> = {
  '0.01': '1 in 100',
  '0.02': '1 in 50',
  '0.05': '1 in 20',
};
export const SCHOOL_TEXT: Record<ThirdSchool, string> = {
  asFar: 'Even with the third baseman',
  walking: 'Walking',
  delayed: 'After the pitch',
};
export const PICK_TEXT: Record<SecondPick, string> = {
  daylight: 'Daylight',
  timing: 'On a count',
  insideTurn: 'Inside turn',
};
export const DIVE_TEXT: Record<DiveResult, string> = {
  elbowOver: 'Elbow over',
  handOn: 'Hand on',
  short: 'Short',
};

/** A small chance as coaches say it. @example inThrows(0.02) // 'out on 1 throw in 50' */
export function inThrows(chance: number): string {
  if (chance < 0.001) return 'out on fewer than 1 throw in 1000';
  if (chance > 0.4) return `out on ${String(Math.round(chance * 10))} throws in 10`;
  // To two figures: more would be make-believe.
  const times = Math.round(Number((1 / chance).toPrecision(2)));
  return `out on 1 throw in ${String(times)}`;
}

/** The same where a column says what it is. @example oneIn(0.02) // '1 in 50' */
export function oneIn(chance: number): string {
  return inThrows(chance)
    .replace(/^out on (?:fewer than )?/, chance < 0.001 ? 'under ' : '')
    .replace(/ throws? in/, ' in');
}

/** What an expected time rests on, in brackets. @example '(2 timed)' */
export function restsWords({ basis, count }: Pick<Expected, 'basis' | 'count'>): string {
  if (basis === 'timed') return `(${timesCount(count)})`;
  return basis === 'supposed' ? '(what if)' : '(typical for the level, not timed)';
}

/** Rounded down, the safe way. @example "Best overall: 12.5 ft, about as good from 12 ft to 13 ft." */
export function bestLeadWords(best: BestLead | null): string {
  if (!best) return 'No lead makes it worth going. Take the safe one.';
  const { leadFeet, fromFeet, toFeet } = best;
  const [from, to] = [distanceDown(fromFeet), distanceDown(toFeet)];
  const alike = from === to ? '' : `, about as good from ${from} to ${to}`;
  return `Best overall: ${distanceDown(leadFeet)}${alike}.`;
}
