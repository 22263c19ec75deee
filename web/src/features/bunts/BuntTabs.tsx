import { PageTabs } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import './Bunts.scss';

const PAGES = [
  { to: 'bunts', text: 'Plan' },
  { to: 'bunts/squeeze', text: 'Squeeze' },
  { to: 'bunts/hit', text: 'For a hit' },
  { to: 'bunts/bunters', text: 'Bunters' },
  { to: 'bunts/card', text: 'Bunt card' },
];

/** The questions about a bunt. */
export function BuntTabs() {
  const { id } = useTeam();
  return (
    <PageTabs
      label="Bunt"
      pages={PAGES.map(({ to, text }) => ({ to: `/teams/${id}/${to}`, text }))}
    />
  );
}
