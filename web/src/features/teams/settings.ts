/** What a team decides about itself: pages that come together. */
export { FieldPage } from './FieldPage.tsx';
export { LevelPage } from './LevelPage.tsx';
export { RulesPage } from './RulesPage.tsx';
export { StaffPage } from './StaffPage.tsx';
