import { PageTabs } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';

export function SignTabs() {
  const team = useTeam();
  const base = `/teams/${team.id}/signs`;
  return (
    <PageTabs
      label="Signs"
      pages={[
        { to: base, text: 'System' },
        { to: `${base}/drills`, text: 'Drills' },
        { to: `${base}/series`, text: 'Pickoff series' },
        { to: `${base}/arms`, text: 'Arms' },
        { to: `${base}/cards`, text: 'Cards' },
      ]}
    />
  );
}
