import { PageTabs } from '../../ui/index.ts';
import { useTeam } from './useTeams.ts';

const PAGES = [
  { to: 'people', text: 'Rosters' },
  { to: 'rules', text: 'Rules' },
  { to: 'level', text: 'Level' },
  { to: 'field', text: 'Field' },
  { to: 'staff', text: 'Staff' },
  { to: 'files', text: 'Files' },
];

/** What belongs to the team: who plays, by which rules, who keeps the times, and what goes in and out. */
export function TeamTabs() {
  const { id } = useTeam();
  return (
    <PageTabs
      label="Team"
      pages={PAGES.map(({ to, text }) => ({ to: `/teams/${id}/${to}`, text }))}
    />
  );
}
