import { PageTabs } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';

const PAGES = [
  { to: 'hold', text: 'Hold' },
  { to: 'hold/board', text: 'Board' },
  { to: 'hold/second', text: 'Second', onlyWithLeads: true },
  { to: 'hold/card', text: 'Hold card' },
];

/** The questions about keeping their runners close. */
export function HoldTabs() {
  const { id, ruleset } = useTeam();
  const pages = PAGES.filter(
    ({ onlyWithLeads = false }) => !onlyWithLeads || ruleset.leadRule === 'open',
  );
  return (
    <PageTabs
      label="Hold"
      pages={pages.map(({ to, text }) => ({ to: `/teams/${id}/${to}`, text }))}
    />
  );
}
