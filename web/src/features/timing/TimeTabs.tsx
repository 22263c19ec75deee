import { PageTabs } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './TimeTabs.scss';

const PAGES = [
  { to: 'timing', text: 'Watch' },
  { to: 'timing/thumb', text: 'Your thumb' },
  { to: 'timing/ear', text: 'By ear' },
  { to: 'timing/clip', text: 'Clip' },
  { to: 'timing/gates', text: 'Gates' },
];

/** The ways to get a time: the watch, and what makes it better or stands in for it. */
export function TimeTabs() {
  const { id } = useTeam();
  return (
    <PageTabs
      label="Ways to time"
      pages={PAGES.map(({ to, text }) => ({ to: `/teams/${id}/${to}`, text }))}
    />
  );
}
