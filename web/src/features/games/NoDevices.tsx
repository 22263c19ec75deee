import { useTeam } from '../teams/index.ts';

/** Where the league allows no device in the box, the sheet takes its place. */
export function NoDevices() {
  const { ruleset } = useTeam();
  if (ruleset.devicesAllowed) return null;
  return (
    <p className="devices-note">Your rules allow no devices in the box. Print the game sheet.</p>
  );
}
