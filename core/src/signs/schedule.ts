import { betaQuantile } from '../maths/beta.ts';
import { afterSign, LATE_SECONDS, missPrior, type MissBelief } from './misses.ts';

/** What a player knows of one sign: how long it stays, how quickly it comes, how often it is missed. */
export interface Memory {
  halfLifeDays: number;
  /** The mean answer, as its logarithm of seconds. */
  logSeconds: number;
  miss: MissBelief;
  day: number;
}

/** Judgement, all of it. */
const FIRST_HALF_LIFE_DAYS = 0.5;
const GROWS = { quick: 2.2, slow: 1.2, wrong: 0.4 } as const;
const LEAST_DAYS = 0.05;
const MOST_DAYS = 60;
const USUAL_SECONDS = 2;
const NEW_ANSWER_SHARE = 0.2;
const SLOW_TIMES = 1.5;
const RECALL_WANTED = { usual: 0.85, critical: 0.95 } as const;
const CRITICAL_WEIGHT = 3;

export function newMemory(day: number): Memory {
  return {
    halfLifeDays: FIRST_HALF_LIFE_DAYS,
    logSeconds: Math.log(USUAL_SECONDS),
    miss: missPrior(day),
    day,
  };
}

/** After one answer. A right one that came late counts as missed. */
export function review(
  memory: Memory,
  { isRight, seconds, day }: { isRight: boolean; seconds: number; day: number },
): Memory {
  const isSlow = seconds > LATE_SECONDS || seconds > SLOW_TIMES * Math.exp(memory.logSeconds);
  const grows = isRight ? (isSlow ? GROWS.slow : GROWS.quick) : GROWS.wrong;
  const halfLife = Math.min(MOST_DAYS, Math.max(LEAST_DAYS, memory.halfLifeDays * grows));
  const missed = !isRight || seconds > LATE_SECONDS;
  return {
    halfLifeDays: halfLife,
    logSeconds: memory.logSeconds + NEW_ANSWER_SHARE * (Math.log(seconds) - memory.logSeconds),
    miss: afterSign(memory.miss, { day, missed }),
    day,
  };
}

/** When it is due again: as recall falls to what is wanted. */
export function dueDay({ halfLifeDays, day }: Memory, isCritical: boolean): number {
  const wanted = isCritical ? RECALL_WANTED.critical : RECALL_WANTED.usual;
  return day + halfLifeDays * Math.log2(1 / wanted);
}

/** What to ask next: the largest first. */
export function priority(memory: Memory, isCritical: boolean, day: number): number {
  const recall = 2 ** (-Math.max(0, day - memory.day) / memory.halfLifeDays);
  const likely = betaQuantile(0.9, memory.miss.a, memory.miss.b);
  return (isCritical ? CRITICAL_WEIGHT : 1) * (1 - recall) * (0.5 + likely);
}
