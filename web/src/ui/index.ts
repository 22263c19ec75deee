// The ground that every style lies on: whatever part of the application is fetched first, these stand before it.
import '@fontsource-variable/archivo/wdth.css';
import './tokens.scss';
import './bootstrap.scss';
import './base.scss';

export { Choice } from './Choice.tsx';
export {
  distance,
  distanceAsTaken,
  distanceDown,
  distanceText,
  distanceUnit,
  inUnit,
  showDistancesIn,
  typedFeet,
  useDistanceUnit,
  type DistanceUnit,
} from './distance.ts';
export { Empty, Failure, Loading } from './States.tsx';
export { FormDialog } from './FormDialog.tsx';
export { FormEnd } from './FormEnd.tsx';
export { FrontPage } from './FrontPage.tsx';
export { Fault } from './Fault.tsx';
export { FormField } from './FormField.tsx';
export {
  clockTime,
  giveOrTake,
  hundredths,
  localMinute,
  longDate,
  percent,
  seconds,
  shortDate,
  timesCount,
} from './format.ts';
export { Folded } from './Folded.tsx';
export { How } from './How.tsx';
export { Mark } from './Mark.tsx';
export { notify, Notices } from './Notices.tsx';
export { PageTabs } from './PageTabs.tsx';
export { PickOne } from './PickOne.tsx';
export { RaceView, type Lane } from './RaceView.tsx';
export { Sheet, type Paper } from './Sheet.tsx';
export { SpreadDots } from './SpreadDots.tsx';
export { Stepper } from './Stepper.tsx';
export { followTheme, useTheme } from './theme.ts';
export { useTitle } from './useTitle.ts';
export { useKeys, type Keys } from './useKeys.ts';
export { TapButton } from './TapButton.tsx';
export { VerdictBadge } from './Verdict.tsx';
