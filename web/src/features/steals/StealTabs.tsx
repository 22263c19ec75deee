import { PageTabs } from '../../ui/index.ts';
import './steals.scss';
import { useTeam } from '../teams/index.ts';

const PAGES = [
  { to: 'steals', text: 'One runner' },
  { to: 'steals/board', text: 'Board' },
  { to: 'steals/card', text: 'Go card' },
];

/** The ways to ask whether he can make it. */
export function StealTabs() {
  const { id } = useTeam();
  return (
    <PageTabs
      label="Steal"
      pages={PAGES.map(({ to, text }) => ({ to: `/teams/${id}/${to}`, text }))}
    />
  );
}
