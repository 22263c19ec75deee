import { gridOf, planBunt, type BuntQuestion } from './plan.ts';
import { lateShow, shownLate } from './squeeze.ts';

/** When the batter shows bunt. */
export const SHOWS = ['early', 'release', 'late'] as const;
export type Show = (typeof SHOWS)[number];

/** Shown before the pitch, the corners start so much sooner, and so much later when it is shown late. Judgement. */
const CORNERS_SECONDS: Record<Show, number> = { early: -0.12, release: 0, late: 0.1 };
const SOONEST_SECONDS = 0.1;
/** A bat that is there early misses less, and truer. Judgement. */
const EARLY_MISSED = 0.85;
const EARLY_AIM = 0.95;
/** Late is so long after the pitcher lets go, seconds. */
const LATE_SECONDS = 0.12;

/**
 * What the best bunt is worth by when it is shown, over swinging away: in the unit of the value. The corners' start is
 * a guess; that the pitcher pitches elsewhere is not in it.
 */
export function worthByShow(question: BuntQuestion): Record<Show, number> {
  const { figures, skill } = question;
  const grid = gridOf(question, 20, 14);
  const late = lateShow({
    showSeconds: figures.releaseSeconds + LATE_SECONDS,
    releaseSeconds: figures.releaseSeconds,
    pitchSeconds: figures.pitchSeconds,
  });
  const skills: Record<Show, BuntQuestion['skill']> = {
    early: {
      ...skill,
      missed: skill.missed * EARLY_MISSED,
      sdDegrees: skill.sdDegrees * EARLY_AIM,
      sdPace: skill.sdPace * EARLY_AIM,
    },
    release: skill,
    late: shownLate(skill, late),
  };
  const worth = (show: Show): number => {
    const cornerReact = Math.max(SOONEST_SECONDS, figures.cornerReact + CORNERS_SECONDS[show]);
    const shown = { ...question, skill: skills[show], figures: { ...figures, cornerReact } };
    const { best, swing } = planBunt(shown, grid);
    return best.value - swing;
  };
  return { early: worth('early'), release: worth('release'), late: worth('late') };
}
