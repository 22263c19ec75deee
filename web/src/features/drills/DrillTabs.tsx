import { PageTabs } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './Drills.scss';

const PAGES = [
  { to: 'drills', text: 'Practice' },
  { to: 'drills/starts', text: 'Starts' },
  { to: 'drills/reads', text: 'Reads' },
  { to: 'drills/leaves', text: 'Leaves' },
  { to: 'drills/squeeze', text: 'Squeeze' },
  { to: 'drills/sends', text: 'Sends' },
  { to: 'drills/progress', text: 'Progress' },
];

/** What is practiced. */
export function DrillTabs() {
  const { id } = useTeam();
  return (
    <PageTabs
      label="Drills"
      pages={PAGES.map(({ to, text }) => ({ to: `/teams/${id}/${to}`, text }))}
    />
  );
}
