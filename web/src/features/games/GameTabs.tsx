import { PageTabs } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';

/** The pages of Game. */
export function GameTabs() {
  const { id } = useTeam();
  return (
    <PageTabs
      label="Game"
      pages={[
        { to: `/teams/${id}/games`, text: 'Games' },
        { to: `/teams/${id}/games/season`, text: 'Season' },
        { to: `/teams/${id}/games/book`, text: 'Book' },
        { to: `/teams/${id}/games/growth`, text: 'Growth' },
        { to: `/teams/${id}/games/reminders`, text: 'Reminders' },
      ]}
    />
  );
}
