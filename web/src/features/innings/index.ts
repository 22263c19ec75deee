export { useBatting } from './useBatting.ts';
export { useLineupOdds, type LineupOdds } from './useLineupOdds.ts';
export { neededText } from './words.ts';
export { useOrder } from './useOrder.ts';
export { useNeeded } from './useNeeded.ts';
export { offerGameSituation, type GameSituation } from './situation.ts';
