export { Choice } from './Choice.tsx';
export { Empty, Failure, Loading } from './States.tsx';
export { Field } from './Field.tsx';
export {
  feet,
  giveOrTake,
  longDate,
  seconds,
  shortDate,
  signedSeconds,
  timesCount,
} from './format.ts';
export { Mark } from './Mark.tsx';
export { notify, Notices } from './Notices.tsx';
export { RaceView, type Lane, type LaneLeg } from './RaceView.tsx';
export { SpreadDots, type Dot } from './SpreadDots.tsx';
export { followTheme, useTheme } from './theme.ts';
export { useTitle } from './useTitle.ts';
export { useWidth } from './useWidth.ts';
export { VerdictBadge, VERDICT_WORDS } from './Verdict.tsx';
