import { goAgainst, type Habit, type SeenHabit } from '@bradyon/core/review';
import type { DeliveryStyle } from '@bradyon/core/timing';
import type { PersonId } from '@bradyon/core/units';

/** What is asked of the book before a pitch with a runner who may go. */
interface BookAsked {
  seen: readonly SeenHabit[];
  pitcher: PersonId;
  catcher: PersonId;
  /** Where the runner goes to. */
  base: string;
  /** The delivery that the desk goes by; null: there is one only. */
  style: DeliveryStyle | null;
  /** What going is worth against staying, in chance to win, on a pitch like that. */
  worthOf: (style: DeliveryStyle, pitch?: 'pitchout') => number;
  now: Date;
}

/** A habit of their battery that changes what the runner does now. */
export interface BookSays {
  habit: Habit;
  seen: readonly [yes: number, of: number];
  then: 'go' | 'stay';
}

/** What the book on their battery changes about going: nothing where it changes nothing. */
export function bookOn(asked: BookAsked): BookSays[] {
  const { seen, pitcher, catcher, base, style, worthOf, now } = asked;
  const usual = style ?? 'legLift';
  const questions: [Habit, PersonId, () => { without: number; with: number }][] = [
    ...(style === null
      ? []
      : [
          [
            base === 'second' ? 'slideStepRunnerOnFirst' : 'slideStepOther',
            pitcher,
            () => ({ without: worthOf('legLift'), with: worthOf('slideStep') }),
          ] as [Habit, PersonId, () => { without: number; with: number }],
        ]),
    ['pitchOut', catcher, () => ({ without: worthOf(usual), with: worthOf(usual, 'pitchout') })],
  ];
  return questions.flatMap(([habit, who, worth]) => {
    // Races are asked for only where something was seen.
    if (!seen.some((each) => each.who === who && each.habit === habit)) return [];
    const found = goAgainst(seen, who, habit, worth(), now);
    return found?.verdict === 'say' ? [{ habit, seen: found.share.seen, then: found.now }] : [];
  });
}
