export { figure } from './figure.ts';
export { StripSlot } from './StripSlot.tsx';
export { LastTeam } from './LastTeam.tsx';
export { TeamShell } from './TeamShell.tsx';
export { TeamTabs } from './TeamTabs.tsx';
export { useSaveTeam, useTeam } from './useTeams.ts';
