import type { RankedPlay } from '@bradyon/core/advice';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { percent } from '../../ui/index.ts';
import { neededText } from '../innings/index.ts';
import type { Desk } from './useDesk.ts';
import { useGame } from './useGame.ts';
import { PLAY_WORDS, pointsText } from './words.ts';

const SHOWN = 4;

/** Plays by what they are worth for these people here, in points of chance to win. A tap calls one. */
export function PlaysTable({ desk }: { desk: Desk }) {
  const { weBat } = useGame();
  const [isWhole, setWhole] = useState(false);
  const { plays, odds, chanceToWin } = desk;
  return (
    <section className="plays" aria-label="What is worth doing" aria-busy={!odds.isCurrent}>
      <div className="plays-head">
        <h2>{weBat ? 'What is worth doing' : 'In the field'}</h2>
        <span className="quiet">
          {odds.isCurrent
            ? `${percent(chanceToWin)} to win. Change in points`
            : 'Average lineups for now'}
        </span>
        {plays.length > SHOWN && (
          <Button
            variant="link"
            onClick={() => {
              setWhole(true);
            }}
          >
            All {plays.length}
          </Button>
        )}
      </div>
      <Plays plays={plays.slice(0, SHOWN)} />
      {isWhole && (
        <Modal
          show
          centered
          animation={false}
          scrollable
          size="lg"
          onHide={() => {
            setWhole(false);
          }}
        >
          <Modal.Header closeButton>
            <Modal.Title>Every play</Modal.Title>
          </Modal.Header>
          <Modal.Body className="plays">
            <Plays plays={plays} />
            {weBat && plays.some(({ play }) => play === 'sacrifice' || play === 'squeeze') && (
              <p className="quiet">
                {desk.buntsByPeople
                  ? 'The bunt is worked out for this bunter and these runners. See Bunt for where to put it.'
                  : 'The bunt is typical of your level: not everybody here is known.'}
              </p>
            )}
          </Modal.Body>
        </Modal>
      )}
    </section>
  );
}

function Plays({ plays }: { plays: readonly RankedPlay[] }) {
  const { situation, weBat, tell } = useGame();
  const called = situation.sign?.play ?? null;
  const most = Math.max(0.002, ...plays.map(({ worth }) => Math.abs(worth)));
  return (
    <table>
      <thead>
        <tr>
          <th scope="col">Play</th>
          <th scope="col">Works</th>
          <th scope="col">Needs</th>
          <th scope="col">If it works</th>
          <th scope="col">If not</th>
          <th scope="col">Worth</th>
        </tr>
      </thead>
      <tbody>
        {plays.map((play) => (
          <PlayRow
            key={play.play}
            play={play}
            most={most}
            isCalled={called === play.play}
            weBat={weBat}
            onCall={() => {
              const isOn = called === play.play || play.play === 'swing';
              tell({ kind: 'sign', play: isOn ? 'nothing' : play.play, seen: null });
            }}
          />
        ))}
      </tbody>
    </table>
  );
}

function PlayRow({
  play,
  most,
  isCalled,
  weBat,
  onCall,
}: {
  play: RankedPlay;
  most: number;
  isCalled: boolean;
  weBat: boolean;
  onCall: () => void;
}) {
  const { works, needs, ifWorks, ifNot, worth } = play;
  const share = `${String(Math.round((Math.abs(worth) / most) * 100))}%`;
  const words = !weBat && play.play === 'swing' ? 'Pitch to the batter' : PLAY_WORDS[play.play];
  return (
    <tr className={isCalled ? 'play-called' : undefined}>
      <th scope="row">
        <Button
          variant="link"
          className="play-call"
          aria-pressed={isCalled}
          title={isCalled ? 'Take it off' : 'Call it'}
          onClick={onCall}
        >
          {words}
        </Button>
      </th>
      <td>{works === null ? '–' : percent(works)}</td>
      <td>{needs === null ? '–' : neededText(needs)}</td>
      <td>{ifWorks === null ? '–' : pointsText(ifWorks)}</td>
      <td>{ifNot === null ? '–' : pointsText(ifNot)}</td>
      <td className="play-worth">
        <svg
          className="play-bar"
          viewBox="0 0 100 10"
          preserveAspectRatio="none"
          aria-hidden="true"
        >
          <rect
            className={worth >= 0 ? 'play-bar-wins' : 'play-bar-costs'}
            width={share}
            height="10"
          />
        </svg>
        <strong className="figure">{pointsText(worth)}</strong>
      </td>
    </tr>
  );
}
