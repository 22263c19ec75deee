import type { DrillPass, OpenDrillPass } from '@bradyon/contract/signs';
import type { Person } from '@bradyon/core/people';
import type { DrillPassId, PersonId, TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { newId, request } from '../../api/index.ts';
import { notify } from '../../ui/index.ts';
import { QrCode } from '../../ui/QrCode.tsx';
import { useTeam } from '../teams/index.ts';
import './Signs.scss';

/** A player's own phone: a link to their drills, and its end. */
export function PlayerLink({ player }: { player: Person }) {
  const team = useTeam();
  const passes = usePasses(team.id);
  return (
    <>
      <p>
        On their own phone: <LinkFor player={player} passes={passes} />
      </p>
      {passes.made?.personId === player.id && <MadeLink pass={passes.made} players={[player]} />}
    </>
  );
}

export function usePasses(teamId: TeamId) {
  const client = useQueryClient();
  const queryKey = ['drill-passes', teamId];
  const url = `/api/teams/${teamId}/signs/passes`;
  const { data } = useQuery({
    queryKey,
    queryFn: () => request<OpenDrillPass[]>('GET', url),
    meta: { onlyHere: true },
  });
  const failed = ({ message }: Error): void => {
    notify(message);
  };
  const again = () => client.invalidateQueries({ queryKey });
  const make = useMutation({
    mutationFn: (personId: PersonId) =>
      request<DrillPass>('POST', url, { id: newId<DrillPassId>(), personId }),
    onSuccess: again,
    onError: failed,
  });
  const end = useMutation({
    mutationFn: (id: DrillPassId) => request('DELETE', `${url}/${id}`),
    onSuccess: again,
    onError: failed,
  });
  return { open: data ?? [], make: make.mutate, end: end.mutate, made: make.data };
}

export function LinkFor({
  player,
  passes,
}: {
  player: Person;
  passes: ReturnType<typeof usePasses>;
}) {
  const own = passes.open.filter(({ personId }) => personId === player.id);
  return (
    <span className="drills-links">
      <Button
        variant="outline-primary"
        aria-label={`Link for ${player.name}`}
        onClick={() => {
          passes.make(player.id);
        }}
      >
        Link
      </Button>
      {own.length > 0 && (
        <Button
          variant="link"
          aria-label={`End the links of ${player.name}`}
          onClick={() => {
            for (const { id } of own) passes.end(id);
          }}
        >
          End {own.length}
        </Button>
      )}
    </span>
  );
}

export function MadeLink({ pass, players }: { pass: DrillPass; players: readonly Person[] }) {
  const player = players.find(({ id }) => id === pass.personId);
  const address = `${location.origin}/drill#${pass.code}`;
  return (
    <section className="card-box pass-code" role="status" aria-label="Drill link">
      <QrCode text={address} label="QR code that opens the drill" />
      <div>
        <p>
          {player?.name}: scan it, or open <strong>{location.host}/drill</strong> and type
        </p>
        <p className="pass-letters figure">{pass.code}</p>
        <p className="quiet">It is shown only now. It ends after 30 days.</p>
        <Button
          variant="outline-primary"
          onClick={() => {
            void navigator.clipboard.writeText(address).then(
              () => {
                notify('Link copied');
              },
              () => {
                notify('Copying did not work. Type the code instead.');
              },
            );
          }}
        >
          Copy link
        </Button>
      </div>
    </section>
  );
}
