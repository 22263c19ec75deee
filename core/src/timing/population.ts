import type { ReadingContext } from './reading.ts';

/**
 * Names the population a reading belongs to: only times with the same name can be set against each
 * other. Leg lift and slide step are apart, so are the bases of a throw and the stretches of a dash.
 * Lead and start are not part of it: a lead is reckoned to a common one, starts are compared.
 * @example populationKey(a delivery with a leg lift) // 'delivery legLift'
 */
export function populationKey({ kind, base, style, fromFeet, toFeet }: ReadingContext): string {
  switch (kind) {
    case 'delivery':
      return `${kind} ${style ?? ''}`;
    case 'pop':
    case 'pick':
    case 'steal':
    case 'outfieldThrow':
      return `${kind} ${base ?? ''}`;
    case 'dash':
      return `${kind} ${fromFeet ?? 0}-${toFeet ?? 0}`;
    case 'hold':
    case 'flight':
    case 'leave':
    case 'diveBack':
    case 'homeToFirst':
    case 'firstToThird':
    case 'secondToHome':
      return kind;
  }
}

/** Readings by population, each list in the order given. */
export function byPopulation<T extends ReadingContext>(readings: readonly T[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const reading of readings) {
    const key = populationKey(reading);
    const own = groups.get(key);
    if (own) own.push(reading);
    else groups.set(key, [reading]);
  }
  return groups;
}
