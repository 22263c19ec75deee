import { PageTabs } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';

const PAGES = [
  { to: 'innings', text: 'Situation' },
  { to: 'innings/lineup', text: 'Lineup' },
  { to: 'innings/best', text: 'Best choices' },
  { to: 'innings/rates', text: 'Rates' },
];

/** The ways to ask what it is worth. */
export function OddsTabs() {
  const { id } = useTeam();
  return (
    <PageTabs
      label="Odds"
      pages={PAGES.map(({ to, text }) => ({ to: `/teams/${id}/${to}`, text }))}
    />
  );
}
