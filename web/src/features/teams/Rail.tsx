import type { TeamId } from '@bradyon/core/units';
import { Ellipsis } from 'lucide-react';
import { Fragment, useState } from 'react';
import Dropdown from 'react-bootstrap/Dropdown';
import Modal from 'react-bootstrap/Modal';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { useKeys, type Keys } from '../../ui/index.ts';
import './Rail.scss';
import { phoneSlots, ROOMS, type Room } from './rooms.ts';

/** The way from any room to any other: beside the page on a tablet, under it on a phone. */
export function Rail({ teamId }: { teamId: TeamId }) {
  const page = useLocation().pathname.split('/')[3] ?? '';
  const navigate = useNavigate();
  const [isListing, setIsListing] = useState(false);
  const open = (room: Room): void => {
    void navigate(`/teams/${teamId}/${room.to}`);
  };
  useKeys({
    ...Object.fromEntries(
      ROOMS.map((room): [string, Keys[string]] => [
        `shift+${room.key.toLowerCase()}`,
        () => {
          open(room);
        },
      ]),
    ),
    '?': () => {
      setIsListing(true);
    },
  });
  const { bar, more } = phoneSlots(ROOMS);
  const isIn = ({ to, pages }: Room): boolean => page === to || (pages?.includes(page) ?? false);
  return (
    <nav className="rail" aria-label="Work">
      {ROOMS.map((room, index) => (
        <Fragment key={room.to}>
          {room.group !== ROOMS[index - 1]?.group && index > 0 && <hr className="rail-part" />}
          <NavLink
            to={`/teams/${teamId}/${room.to}`}
            className={`rail-link${isIn(room) ? ' active' : ''}${more.includes(room) ? ' rail-wide' : ''}`}
            aria-keyshortcuts={`Shift+${room.key}`}
          >
            <room.Icon size={24} aria-hidden="true" />
            {room.text}
          </NavLink>
        </Fragment>
      ))}
      {more.length > 0 && (
        <Dropdown drop="up" className="rail-more">
          <Dropdown.Toggle as="button" className="rail-link">
            <Ellipsis size={24} aria-hidden="true" />
            {more.find(isIn)?.text ?? 'More'}
          </Dropdown.Toggle>
          <Dropdown.Menu>
            {more.map((room) => (
              <Dropdown.Item
                key={room.to}
                active={isIn(room)}
                onClick={() => {
                  open(room);
                }}
              >
                {room.text}
              </Dropdown.Item>
            ))}
          </Dropdown.Menu>
        </Dropdown>
      )}
      <Modal
        show={isListing}
        onHide={() => {
          setIsListing(false);
        }}
      >
        <Modal.Header closeButton>
          <Modal.Title>Keys</Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <dl className="rail-keys">
            {[...bar, ...more].map(({ key, text }) => (
              <div key={key}>
                <dt>{text}</dt>
                <dd>
                  <kbd>Shift</kbd> <kbd>{key}</kbd>
                </dd>
              </div>
            ))}
            <div>
              <dt>Tap the watch</dt>
              <dd>
                <kbd>Space</kbd>
              </dd>
            </div>
            <div>
              <dt>This list</dt>
              <dd>
                <kbd>?</kbd>
              </dd>
            </div>
          </dl>
          <p className="quiet">Other keys are shown on their buttons.</p>
        </Modal.Body>
      </Modal>
    </nav>
  );
}
