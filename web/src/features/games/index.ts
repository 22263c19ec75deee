export { GameTabs } from './GameTabs.tsx';
export { OpenedGame } from './OpenedGame.tsx';
export { inningWords, outsWords } from './situationWords.ts';
export { standsWords } from './standsWords.ts';
export { useGame } from './useGame.ts';
export { useSeason } from './useSeason.ts';
