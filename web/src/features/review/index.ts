export { BookPage } from './BookPage.tsx';
export { GameReviewPage } from './GameReviewPage.tsx';
export { GrowthPage } from './GrowthPage.tsx';
export { ReplayPage } from './ReplayPage.tsx';
export { ReplayRound } from './ReplayRound.tsx';
