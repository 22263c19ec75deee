import { NavLink } from 'react-router';
import './PageTabs.scss';

/** The pages that belong together, each one tap away. */
export function PageTabs({
  label,
  pages,
}: {
  label: string;
  /** `to`: a whole path. */
  pages: readonly { to: string; text: string }[];
}) {
  return (
    <nav className="page-tabs" aria-label={label}>
      {pages.map(({ to, text }) => (
        <NavLink key={to} to={to} end>
          {text}
        </NavLink>
      ))}
    </nav>
  );
}
