import { drawn, type Random } from '../maths/index.ts';
import { signGenerator, type Meaning } from './generate.ts';
import { contextsOf } from './contexts.ts';
import { LATE_SECONDS } from './misses.ts';
import { dueDay, newMemory, priority, review, type Memory } from './schedule.ts';
import type { SignContext, SignSystem, Touch } from './system.ts';

/** One answer of a player. */
export interface SignAnswer {
  /** What was given; null: nothing on. */
  meant: Meaning;
  /** What they took it for. */
  answered: Meaning;
  seconds: number;
  /** Days since 1970, with the part of the day. */
  day: number;
}

/** What a player knows of each sign; nothing on is kept apart: it is never missed, only taken for a play. */
export interface KnownSigns {
  /** By play. */
  memories: ReadonlyMap<string, Memory>;
  /** Nothing on that was taken for a play. */
  falseAlarms: number;
  nothingOn: number;
}

/** What answers come to, the oldest first. */
export function knownSigns(answers: readonly SignAnswer[]): KnownSigns {
  const memories = new Map<string, Memory>();
  let falseAlarms = 0;
  let nothingOn = 0;
  for (const { meant, answered, seconds, day } of answers.toSorted((a, b) => a.day - b.day)) {
    if (meant === null) {
      nothingOn += 1;
      if (answered !== null) falseAlarms += 1;
      continue;
    }
    const before = memories.get(meant) ?? newMemory(day);
    memories.set(meant, review(before, { isRight: answered === meant, seconds, day }));
  }
  return { memories, falseAlarms, nothingOn };
}

/** Whether an answer counts as missed: wrong, or too late to help. */
export function isMissed({ meant, answered, seconds }: SignAnswer): boolean {
  return answered !== meant || seconds > LATE_SECONDS;
}

/** One sequence to read in a drill. */
export interface DrillItem {
  touches: Touch[];
  context: SignContext;
  means: Meaning;
}

/** [judgement] So many of ten are nothing on: who sees a sign in everything runs into outs. */
const NOTHING_SHARE = 0.4;

/**
 * A round for a player: what they are likeliest to have forgotten comes first, the squeeze weighs three times.
 * @param day today, as in their answers
 * @returns an empty list for a system that carries no sequence
 */
export function drillRound(
  system: SignSystem,
  known: KnownSigns,
  { size, day, random }: { size: number; day: number; random: Random },
): DrillItem[] {
  const contexts = contextsOf(system);
  const used = new Set<string>();
  const asked = new Map<string, number>();
  const items: DrillItem[] = [];
  const generators = new Map<SignContext, ReturnType<typeof signGenerator>>();
  for (let index = 0; index < size; index += 1) {
    const context = contexts[Math.floor(random() * contexts.length)];
    if (!context) break;
    const generator = generators.get(context) ?? signGenerator(system, context);
    generators.set(context, generator);
    const plays = generator.meanings.filter((meaning) => meaning !== null);
    const weights = plays.map((play) => {
      const critical = isCritical(system, play);
      // What was never asked counts as forgotten.
      const memory = known.memories.get(play) ?? newMemory(day - 1);
      return priority(memory, critical, day) / (1 + (asked.get(play) ?? 0)) ** 2;
    });
    const isNothing = plays.length === 0 || random() < NOTHING_SHARE;
    const means = isNothing ? null : (plays[drawn(weights, random)] ?? null);
    const touches = generator.make(means, random, used);
    if (!touches) return [];
    used.add(touches.join(' '));
    if (means !== null) asked.set(means, (asked.get(means) ?? 0) + 1);
    items.push({ touches, context, means });
  }
  return items;
}

export function isCritical({ plays }: SignSystem, play: Meaning): boolean {
  return plays.some(({ id, critical }) => id === play && critical === true);
}

/** Signs that a player is due to see again. */
export function dueSigns(system: SignSystem, { memories }: KnownSigns, day: number): string[] {
  return system.plays.flatMap(({ id }) => {
    const memory = memories.get(id);
    return !memory || dueDay(memory, isCritical(system, id)) <= day ? [id] : [];
  });
}
