import { PageTabs } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './Bases.scss';

const PAGES = [
  { to: 'bases', text: 'Send or hold' },
  { to: 'bases/flies', text: 'Fly balls' },
  { to: 'bases/grounders', text: 'Grounders' },
  { to: 'bases/turns', text: 'Turns' },
  { to: 'bases/arms', text: 'Their arms' },
];

/** The questions on the bases. */
export function BasesTabs() {
  const { id } = useTeam();
  return (
    <PageTabs
      label="Bases"
      pages={PAGES.map(({ to, text }) => ({ to: `/teams/${id}/${to}`, text }))}
    />
  );
}
