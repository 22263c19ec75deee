import { NavLink } from 'react-router';
import './TeamTabs.scss';
import { useTeam } from './useTeams.ts';

const PAGES = [
  { to: 'people', text: 'Rosters' },
  { to: 'rules', text: 'Rules' },
  { to: 'staff', text: 'Staff' },
];

/** What belongs to the team: who plays, by which rules, and who keeps the times. */
export function TeamTabs() {
  const { id } = useTeam();
  return (
    <nav className="team-tabs" aria-label="Team">
      {PAGES.map(({ to, text }) => (
        <NavLink key={to} to={`/teams/${id}/${to}`}>
          {text}
        </NavLink>
      ))}
    </nav>
  );
}
