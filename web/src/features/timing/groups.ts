import { spreadOf, type Reading, type Spread } from '@bradyon/core/timing';
import { BASE_WORDS, KIND_WORDS, STYLE_WORDS } from './words.ts';

/** Times that can be set against each other: one kind, one style, to one base. */
export interface Group {
  key: string;
  title: string;
  /** What is timed, from where to where. */
  from: string;
  tone: 'ball' | 'runner';
  /** The newest first, those set aside included. */
  readings: Reading[];
  /** Of those that count; null when none does. */
  spread: Spread | null;
}

const ORDER = [
  'delivery legLift',
  'delivery slideStep',
  'flight',
  'pop second',
  'pop third',
  'steal second',
  'steal third',
  'homeToFirst',
];

/** Somebody's times, group by group, in the order in which they happen on the field. */
export function groupsOf(readings: readonly Reading[]): Group[] {
  return ORDER.flatMap((key) => {
    const own = readings.filter((reading) => keyOf(reading) === key);
    const [first] = own;
    if (!first) return [];
    const live = own.filter(({ asideReason }) => asideReason === null);
    return [
      {
        key,
        title: titleOf(first),
        from: KIND_WORDS[first.kind].from,
        tone: first.kind === 'steal' || first.kind === 'homeToFirst' ? 'runner' : 'ball',
        readings: own,
        spread: spreadOf(live.map(({ seconds }) => seconds)),
      },
    ];
  });
}

function keyOf({ kind, style, base }: Reading): string {
  if (kind === 'delivery') return `${kind} ${style ?? ''}`;
  return kind === 'pop' || kind === 'steal' ? `${kind} ${base ?? ''}` : kind;
}

/** @example titleOf of a pop to second // 'Pop to second' */
export function titleOf({ kind, style, base }: Reading): string {
  const { name } = KIND_WORDS[kind];
  if (kind === 'delivery' && style) return `${name}, ${STYLE_WORDS[style].toLowerCase()}`;
  if (kind === 'pop' && base) return `${name} to ${BASE_WORDS[base].toLowerCase()}`;
  if (kind === 'steal' && base) return `${name} of ${BASE_WORDS[base].toLowerCase()}`;
  return name;
}
