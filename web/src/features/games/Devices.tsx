import type { DeviceSeen } from '@bradyon/contract/games';
import { PLACES, type Place } from '@bradyon/core/games';
import type { GameId } from '@bradyon/core/units';
import { Radio } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { useStore } from 'zustand';
import { Choice } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { deviceId } from './device.ts';
import { useLasting } from './useLasting.ts';
import { liveGame } from './liveGame.ts';
import { PLACE_WORDS } from './places.ts';

const Passes = lazy(async () => ({ default: (await import('./Passes.tsx')).Passes }));

/** Heard from in this time a device is there. */
const HERE_SECONDS = 40;

/** Who is connected, and how fresh each of them is. */
export function Devices({
  devices,
  isLive,
  isStaff,
  place,
  setPlace,
  gameId,
}: {
  devices: readonly DeviceSeen[];
  isLive: boolean;
  /** Guests have one place, and let nobody in. */
  isStaff: boolean;
  place: Place;
  setPlace: (place: Place) => void;
  gameId: GameId;
}) {
  const team = useTeam();
  const live = liveGame(team.id, gameId);
  const lastSeq = useStore(live, (now) => now.lastSeq);
  const unsent = useStore(live, (now) => now.unsent.size);
  const isStuck = useLasting(unsent > 0);
  const [isOpen, setOpen] = useState(false);
  const here = devices.filter(({ secondsAgo }) => secondsAgo < HERE_SECONDS);
  const connected = `${String(Math.max(1, here.length))} ${here.length > 1 ? 'devices' : 'device'}`;
  // Room for one word of it on a phone: what is stuck here matters most.
  const words = isStuck ? `${String(unsent)} to send` : isLive ? connected : 'Not connected';
  return (
    <>
      <button
        type="button"
        className={`game-tile devices-line ${isLive && !isStuck ? '' : 'devices-away'}`}
        onClick={() => {
          setOpen(true);
        }}
      >
        <strong>
          <Radio size={16} aria-hidden="true" /> {PLACE_WORDS[place]}
        </strong>
        <span role="status">{words}</span>
      </button>
      {isOpen && (
        <Modal
          show
          centered
          animation={false}
          scrollable
          onHide={() => {
            setOpen(false);
          }}
        >
          <Modal.Header closeButton>
            <Modal.Title>Devices in this game</Modal.Title>
          </Modal.Header>
          <Modal.Body>
            {isStaff && (
              <Choice
                label="This device is at"
                showLabel
                value={place}
                options={PLACES.map((value) => ({ value, text: PLACE_WORDS[value] }))}
                onChange={setPlace}
              />
            )}
            {!isLive && (
              <p className="devices-note">
                Not connected. Every tap is kept on this device and sent when the server answers.
              </p>
            )}
            <ul className="devices-list">
              {devices.map((each) => (
                <li key={each.device}>
                  <strong>
                    {PLACE_WORDS[each.place]}
                    {each.device === deviceId() && ', this one'}
                  </strong>
                  <span>{each.name}</span>
                  <span className="quiet">{freshWords(each, lastSeq)}</span>
                </li>
              ))}
            </ul>
            {devices.length === 0 && (
              <p className="quiet">No connection to the server right now.</p>
            )}
            {isStaff && (
              <Suspense>
                <Passes gameId={gameId} />
              </Suspense>
            )}
          </Modal.Body>
          <Modal.Footer>
            <Button
              onClick={() => {
                setOpen(false);
              }}
            >
              Done
            </Button>
          </Modal.Footer>
        </Modal>
      )}
    </>
  );
}

/** @example 'up to date', '3 entries behind', 'last seen 4 min ago' */
export function freshWords({ secondsAgo, lastSeq }: DeviceSeen, ownSeq: number): string {
  if (secondsAgo >= HERE_SECONDS) {
    const minutes = Math.round(secondsAgo / 60);
    return minutes < 1 ? 'last seen just now' : `last seen ${String(minutes)} min ago`;
  }
  const behind = ownSeq - lastSeq;
  return behind > 0 ? `${String(behind)} entries behind` : 'up to date';
}
