import { PageTabs } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './leads.scss';

const PAGES = [
  { to: 'leads', text: 'First' },
  { to: 'leads/second', text: 'Second' },
  { to: 'leads/third', text: 'Third' },
  { to: 'leads/sheet', text: 'Lead sheet' },
];

/** Off which base, and the sheet of them all. */
export function LeadTabs() {
  const { id } = useTeam();
  return (
    <PageTabs
      label="Leads"
      pages={PAGES.map(({ to, text }) => ({ to: `/teams/${id}/${to}`, text }))}
    />
  );
}
