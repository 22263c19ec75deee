import { PASS_PLACES, type OpenPass, type Pass, type PassPlace } from '@bradyon/contract/games';
import type { GameId, PassId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { newId, request } from '../../api/index.ts';
import { Choice, notify } from '../../ui/index.ts';
import { QrCode } from '../../ui/QrCode.tsx';
import { useTeam } from '../teams/index.ts';
import { PLACE_WORDS } from './places.ts';

/** A code that opens one place of this game on a phone: made, shown, and taken away. */
export function Passes({ gameId }: { gameId: GameId }) {
  const team = useTeam();
  const client = useQueryClient();
  const queryKey = ['passes', team.id, gameId];
  const url = `/api/teams/${team.id}/games/${gameId}/passes`;
  const [place, setPlace] = useState<PassPlace>('first');
  const { data: open } = useQuery({
    queryKey,
    queryFn: () => request<OpenPass[]>('GET', url),
    meta: { onlyHere: true },
  });
  const failed = ({ message }: Error): void => {
    notify(message);
  };
  const make = useMutation({
    mutationFn: () => request<Pass>('POST', url, { id: newId<PassId>(), place }),
    onSuccess: () => client.invalidateQueries({ queryKey }),
    onError: failed,
  });
  const end = useMutation({
    mutationFn: (id: PassId) => request('DELETE', `${url}/${id}`),
    onSuccess: () => client.invalidateQueries({ queryKey }),
    onError: failed,
  });
  return (
    <section className="passes" aria-label="Join by code">
      <h2>Join by code</h2>
      <p className="quiet">
        A phone without an account opens one place of this game. It ends after 12 hours.
      </p>
      <div className="more-row">
        <Choice
          label="Place"
          value={place}
          options={PASS_PLACES.map((value) => ({ value, text: PLACE_WORDS[value] }))}
          onChange={setPlace}
        />
        <Button
          disabled={make.isPending}
          onClick={() => {
            make.mutate();
          }}
        >
          Make a code
        </Button>
      </div>
      {make.data && <Code pass={make.data} />}
      <ul className="devices-list">
        {(open ?? []).map((pass) => (
          <li key={pass.id}>
            <strong>{PLACE_WORDS[pass.place]}</strong>
            <span className="quiet">
              {pass.guests === 0 ? 'not used yet' : `${String(pass.guests)} came in`}
            </span>
            <Button
              variant="outline-primary"
              onClick={() => {
                end.mutate(pass.id);
              }}
            >
              End it
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Code({ pass: { code, place } }: { pass: Pass }) {
  const address = `${location.origin}/join#${code}`;
  return (
    <div className="pass-code" role="status">
      <QrCode text={address} label="QR code that opens the place" />
      <div>
        <p>
          {PLACE_WORDS[place]}: scan it, or open <strong>{location.host}/join</strong> and type
        </p>
        <p className="pass-letters figure">{code}</p>
        <p className="quiet">It is shown only now.</p>
      </div>
    </div>
  );
}
