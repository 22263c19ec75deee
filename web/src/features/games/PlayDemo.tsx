import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useNavigate } from 'react-router';
import { notify } from '../../ui/index.ts';
import { useAccount } from '../accounts/index.ts';
import { useOrder } from '../innings/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';

const EVERY_MS = 1500;

/** In the demo: watch a made-up game come in from three devices. */
export function PlayDemo() {
  const team = useTeam();
  const navigate = useNavigate();
  const { account } = useAccount();
  const { people, opponents } = usePeople(team.id);
  const order = useOrder(team.id);
  const [isStarting, setStarting] = useState(false);
  const [opponent] = opponents.filter(({ retired }) => !retired);
  if (account?.demo !== true || !opponent) return null;
  const play = async (): Promise<void> => {
    setStarting(true);
    try {
      const { playDemo } = await import('./playDemo.ts');
      const id = await playDemo(team, opponent, { people, order: order.ids }, EVERY_MS);
      await navigate(`/teams/${team.id}/games/${id}`);
    } catch (error) {
      setStarting(false);
      notify(error instanceof Error ? error.message : 'The game did not start. Try again.');
    }
  };
  return (
    <Button variant="outline-primary" disabled={isStarting} onClick={() => void play()}>
      Play a made-up game
    </Button>
  );
}
