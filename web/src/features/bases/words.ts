import type {
  Approach,
  CatchSeen,
  FielderLook,
  Habit,
  HitSpeed,
  Outfielder,
  OutfieldHabits,
  Send,
  SendPlan,
  SendVerdict,
} from '@bradyon/core/bases';
import type { Person } from '@bradyon/core/people';
import { distance, percent, seconds, type Lane } from '../../ui/index.ts';
import { lastName } from '../people/index.ts';
import type { ArmInView } from './useOutfield.ts';
import type { ArmLook } from './basesStore.ts';

export const SEND_TEXT: Record<Send, string> = {
  secondToHome: 'Second to home',
  firstToThird: 'First to third',
  stretchToSecond: 'Single to double',
};
export const BAG_TEXT = { 1: 'first', 2: 'second', 3: 'third', 4: 'home' } as const;
export const HIT_TEXT: Record<HitSpeed, string> = { soft: 'Soft', medium: 'Medium', hard: 'Hard' };
export const APPROACH_TEXT: Record<Approach, string> = {
  usual: 'As usual',
  charging: 'Charging',
  standing: 'Set',
  away: 'Going away',
};
export const ARM_TEXT: Record<ArmLook, string> = {
  timed: 'Timed arm',
  usual: 'Typical arm',
  strong: 'Looks strong',
  weak: 'Looks weak',
};
export const SEEN_TEXT: Record<CatchSeen, string> = {
  ownEyes: 'Own eyes',
  shout: 'Coach shouts',
};
export const FIELD_TEXT: Record<Outfielder, string> = { LF: 'left', CF: 'center', RF: 'right' };

/** Usual hits, by their direction from the first-base line. */
export const DIRECTIONS = [
  { degrees: 82, text: 'Left line' },
  { degrees: 70, text: 'Left' },
  { degrees: 58, text: 'Left-center' },
  { degrees: 45, text: 'Center' },
  { degrees: 32, text: 'Right-center' },
  { degrees: 20, text: 'Right' },
  { degrees: 8, text: 'Right line' },
] as const;

const VERDICT_TEXT: Record<SendVerdict, string> = { send: 'Send', hold: 'Hold', close: 'Close' };
export function verdictText(verdict: SendVerdict): string {
  return VERDICT_TEXT[verdict];
}

/** What a chance has to be. */
export function needText(need: number): string {
  if (need > 1) return 'never worth it';
  return need <= 0 ? 'nothing to lose' : `needs ${percent(need)}`;
}

export function nameOf(person: Person | undefined, otherwise: string): string {
  return person ? lastName(person) : otherwise;
}

/** @example 'LF, 82 mph from 3 throws' */
export function armText(position: Outfielder, { mph, look, count }: ArmInView): string {
  const from =
    look === 'timed'
      ? `from ${String(count)} ${count === 1 ? 'throw' : 'throws'}`
      : ARM_TEXT[look].toLowerCase();
  return `${position}, ${String(Math.round(mph))} mph, ${from}`;
}

/** Of each habit, what it is called when it is seen and when it is not. */
export const LOOK_TEXT: Record<FielderLook, string> = {
  charges: 'Charged',
  waits: 'Waited',
  clean: 'Clean',
  bobbles: 'Bobbled',
  hitsCutoff: 'Hit the cutoff',
  overthrows: 'Over the cutoff',
  throwsBehind: 'Threw behind',
  asleep: 'Not looking',
};

const times = ({ did, seen }: Habit): string => `${String(did)} of ${String(seen)}`;

/**
 * What was seen of an outfielder, in a line; null where nothing was. What is rare is told once it was seen.
 * @example 'Charged 3 of 4, bobbled 1 of 8.'
 */
export function habitWords(habits: OutfieldHabits): string | null {
  const { charges, bobbles, hitsCutoff, throwsBehind } = habits;
  const over = hitsCutoff.seen - hitsCutoff.did;
  const words = [
    ...(charges.seen > 0 ? [`charged ${times(charges)}`] : []),
    ...(bobbles.did > 0 ? [`bobbled ${times(bobbles)}`] : []),
    ...(over > 0 ? [`threw over the cutoff ${times({ ...hitsCutoff, did: over })}`] : []),
    ...(throwsBehind.seen > 0 ? [`looked behind the runner ${times(throwsBehind)}`] : []),
  ];
  const line = words.join(', ');
  return line === '' ? null : `${line.charAt(0).toUpperCase()}${line.slice(1)}.`;
}

/** The race of a send, to one scale. */
export function lanesOf(
  plan: SendPlan,
  runner: string,
  bags: { turned: keyof typeof BAG_TEXT; target: keyof typeof BAG_TEXT },
): [Lane, Lane] {
  const { fieldedSeconds } = plan.play;
  const there = ballThere(plan);
  return [
    {
      title: `Ball ${seconds(there)}`,
      tone: 'ball',
      legs: [
        { label: 'To the ball', seconds: fieldedSeconds, own: false },
        { label: 'Throw and tag', seconds: there - fieldedSeconds, own: false },
      ],
      spreadSeconds: BALL_SPREAD,
    },
    {
      title: `${runner} ${seconds(plan.runSeconds)}`,
      tone: 'runner',
      legs: [
        { label: `To ${BAG_TEXT[bags.turned]}`, seconds: plan.turnSeconds, own: false },
        {
          label: `To ${BAG_TEXT[bags.target]}`,
          seconds: plan.runSeconds - plan.turnSeconds,
          own: false,
        },
      ],
      spreadSeconds: RUN_SPREAD,
    },
  ];
}
/** What the model counts for fielding and throw together, and for the run. Seconds. */
const BALL_SPREAD = 0.27;
const RUN_SPREAD = 0.16;

/** When the ball is there on a throw on line, whichever way is sooner. */
export function ballThere({ ball }: Pick<SendPlan, 'ball'>): number {
  return Math.min(ball.direct, ball.cut);
}

export function gapWords({ ball, runSeconds }: SendPlan, topSpeed: number): string {
  const gap = ballThere({ ball }) - runSeconds;
  return `${gap >= 0 ? 'safe' : 'out'} by ${seconds(Math.abs(gap))}, ${distance(gap * topSpeed)}`;
}

/** Where a runner is against the bag. @example '4 ft past third' */
export function pastText(feet: number, bag: keyof typeof BAG_TEXT): string {
  if (Math.abs(feet) < 0.25) return `at ${BAG_TEXT[bag]}`;
  return `${distance(feet)} ${feet > 0 ? 'past' : 'before'} ${BAG_TEXT[bag]}`;
}
