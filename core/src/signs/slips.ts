import type { Random } from '../maths/index.ts';
import { decode } from './decode.ts';
import { signGenerator, type Meaning } from './generate.ts';
import type { SignContext, SignPlay, SignSystem, Touch } from './system.ts';

/** What a reader takes a sequence for after one slip, in shares of 1. */
interface Slipped {
  same: number;
  nothing: number;
  wrong: number;
  /** The play it most often turns into; null: none. */
  becomes: SignPlay | null;
}

export interface PlaySlips {
  /** null: nothing on. */
  meaning: Meaning;
  isCritical: boolean;
  /** One touch was not seen. */
  missed: Slipped;
  /** One touch was taken for another. */
  misread: Slipped;
}

/**
 * What each play turns into when one touch is missed or misread: the critical ones first, nothing on last.
 * @param samples sequences of each play; 200 hold each share to about 3 of 100
 * @returns an empty list for a system that carries no sequence
 */
export function slipsOf(
  system: SignSystem,
  context: SignContext,
  { samples, random }: { samples: number; random: Random },
): PlaySlips[] {
  const { meanings, make } = signGenerator(system, context);
  const isCritical = (meaning: Meaning): boolean =>
    system.plays.some(({ id, critical }) => id === meaning && critical === true);
  const any = (count: number): number => Math.floor(random() * count);
  const rows = meanings.flatMap((meaning): PlaySlips[] => {
    const missed: Meaning[] = [];
    const misread: Meaning[] = [];
    for (let sample = 0; sample < samples; sample += 1) {
      const sequence = make(meaning, random);
      if (!sequence) return [];
      missed.push(heard(system, sequence.toSpliced(any(sequence.length), 1), context));
      const at = any(sequence.length);
      const others = system.touches.filter((touch) => touch !== sequence[at]);
      const other: Touch = others[any(others.length)] ?? '';
      misread.push(heard(system, sequence.with(at, other), context));
    }
    return [
      {
        meaning,
        isCritical: isCritical(meaning),
        missed: sharesOf(meaning, missed),
        misread: sharesOf(meaning, misread),
      },
    ];
  });
  const order = (row: PlaySlips): number => (row.meaning === null ? 2 : row.isCritical ? 0 : 1);
  return rows.toSorted((a, b) => order(a) - order(b) || b.missed.wrong - a.missed.wrong);
}

function heard(system: SignSystem, sequence: readonly Touch[], context: SignContext): Meaning {
  const found = decode(system, sequence, context);
  return found.kind === 'play' ? found.play : null;
}

function sharesOf(meant: Meaning, heardAs: readonly Meaning[]): Slipped {
  const share = (is: (meaning: Meaning) => boolean): number =>
    heardAs.length === 0 ? 0 : heardAs.filter(is).length / heardAs.length;
  const counts = new Map<SignPlay, number>();
  for (const meaning of heardAs)
    if (meaning !== null && meaning !== meant) counts.set(meaning, (counts.get(meaning) ?? 0) + 1);
  const [becomes] = [...counts].toSorted(([, a], [, b]) => b - a);
  const same = share((meaning) => meaning === meant);
  const nothing = meant === null ? 0 : share((meaning) => meaning === null);
  return { same, nothing, wrong: Math.max(0, 1 - same - nothing), becomes: becomes?.[0] ?? null };
}
