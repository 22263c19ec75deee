import type { PlayChanges, TeamLevel } from '@bradyon/core/innings';

export type SheetName = keyof PlayChanges;

/** A sheet of shares, as it is shown to be filled in. */
interface Sheet {
  name: SheetName;
  title: string;
  note: string;
  shares: { key: string; text: string }[];
  /** Its shares add up to all there is. */
  isWhole: boolean;
  of: (level: TeamLevel) => Record<string, number>;
}

const share = (key: string, text: string) => ({ key, text });
const CONTACT_SHARES = [
  share('through', 'Gets through'),
  share('outAtHome', 'Runner goes: out at home'),
  share('conceded', 'Runner goes: scores, out at first'),
  share('scoresIfHolding', 'Runner waits, scores anyway'),
];

export const SHEETS: readonly Sheet[] = [
  {
    name: 'rates',
    title: 'A plate appearance',
    note: 'How an average one ends.',
    isWhole: true,
    of: ({ rates }) => ({ ...rates }),
    shares: [
      share('strikeout', 'Strikeout'),
      share('walk', 'Walk or hit by pitch'),
      share('single', 'Single'),
      share('double', 'Double'),
      share('triple', 'Triple'),
      share('homeRun', 'Home run'),
      share('reachOnError', 'Reached on error'),
      share('groundOut', 'Ground out'),
      share('flyOut', 'Fly out'),
      share('popLineOut', 'Pop-up or lineout'),
    ],
  },
  {
    name: 'bunt',
    title: 'A sacrifice',
    note: 'For an average bunter. Each batter’s own tries adjust it.',
    isWhole: true,
    of: ({ bunt }) => ({ ...bunt }),
    shares: [
      share('success', 'Runner moved over, batter out'),
      share('safe', 'Everybody safe'),
      share('leadOut', 'Lead runner out'),
      share('popOut', 'Popped up'),
      share('popDouble', 'Popped into a double play'),
      share('strikeout', 'Struck out bunting'),
      share('swingAway', 'Two strikes, swings away'),
    ],
  },
  {
    name: 'squeeze',
    title: 'A squeeze',
    note: 'The runner is already going. Our estimate until you count your own.',
    isWhole: true,
    of: ({ squeeze }) => ({ ...squeeze }),
    shares: [
      share('scored', 'Run in, batter out'),
      share('scoredAndSafe', 'Run in, everybody safe'),
      share('outAtHome', 'Runner out at the plate'),
      share('missed', 'Missed or pitched out, runner out'),
      share('foul', 'Fouled off'),
      share('popOut', 'Popped up'),
      share('popDouble', 'Popped into a double play'),
    ],
  },
  {
    name: 'contactIn',
    title: 'On the ground, infield in',
    note: 'Runner on third only. The rest of the time everybody is safe.',
    isWhole: false,
    of: ({ contact }) => ({ ...contact.in }),
    shares: CONTACT_SHARES,
  },
  {
    name: 'contactBack',
    title: 'On the ground, infield back',
    note: 'Same, with the infield back.',
    isWhole: false,
    of: ({ contact }) => ({ ...contact.back }),
    shares: CONTACT_SHARES,
  },
];

/** Fields cannot have a point in their name. */
export function fieldOf(name: SheetName, key: string): string {
  return `${name}_${key}`;
}

/** @example inPercent(0.205) // '20.5' */
export function inPercent(value: number): string {
  return String(Math.round(value * 10_000) / 100);
}

/** Reads what is typed: a figure, nothing, or what is no figure as it is. */
type ReadFigure = (typed: string) => number | string | null;

function typedIn(
  level: TeamLevel,
  { name, shares, of }: Sheet,
  values: Record<string, string | undefined>,
  read: ReadFigure,
): { key: string; value: number | string; isOwn: boolean }[] {
  const usual = of(level);
  return shares.map(({ key }) => {
    const typed = read(values[fieldOf(name, key)] ?? '');
    const value = typeof typed === 'number' ? typed / 100 : typed;
    // Hundredths of a percent are as fine as it gets: halves do not leave dust.
    const exact = typeof value === 'number' ? Math.round(value * 10_000) / 10_000 : value;
    return { key, value: exact ?? usual[key] ?? 0, isOwn: exact !== null && exact !== usual[key] };
  });
}

/** A team's own sheets: those where anything is not as the level has it, whole. */
export function sentSheets(
  level: TeamLevel,
  values: Record<string, string | undefined>,
  read: ReadFigure,
): Partial<Record<SheetName, Record<string, number | string>>> {
  return Object.fromEntries(
    SHEETS.flatMap((sheet) => {
      const typed = typedIn(level, sheet, values, read);
      if (!typed.some(({ isOwn }) => isOwn)) return [];
      return [[sheet.name, Object.fromEntries(typed.map(({ key, value }) => [key, value]))]];
    }),
  );
}

/** What a sheet adds up to, in percent; null while something in it is no figure. */
export function sumOf(
  level: TeamLevel,
  name: SheetName,
  values: Record<string, string | undefined>,
  read: ReadFigure,
): number | null {
  const sheet = SHEETS.find((each) => each.name === name);
  const typed = sheet ? typedIn(level, sheet, values, read) : [];
  let sum = 0;
  for (const { value } of typed) {
    if (typeof value !== 'number') return null;
    sum += value * 100;
  }
  return sum;
}
