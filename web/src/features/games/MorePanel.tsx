import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { Choice, PickOne } from '../../ui/index.ts';
import type { Taps } from './useTaps.ts';
import { useGame } from './useGame.ts';

const INFIELD = [
  { value: 'back', text: 'Back' },
  { value: 'in', text: 'In' },
  { value: 'cornersIn', text: 'Corners in' },
  { value: 'middleBack', text: 'Middle back' },
] as const;
const OUTFIELD = [
  { value: 'straight', text: 'Straight' },
  { value: 'noDoubles', text: 'No doubles' },
  { value: 'shadeLeft', text: 'Shaded to left' },
  { value: 'shadeRight', text: 'Shaded to right' },
] as const;
const ENDS = [
  { value: 'calledEarly', text: 'Weather or injury' },
  { value: 'timeLimit', text: 'Time limit' },
  { value: 'forfeit', text: 'Forfeit' },
] as const;

/** Everything that is tapped rarely, with its rule kept by the game itself. */
export function MorePanel({ taps, onClose }: { taps: Taps; onClose: () => void }) {
  const { situation, weBat, ours, theirs, tell, opponentName } = useGame();
  const [why, setWhy] = useState<(typeof ENDS)[number]['value']>('calledEarly');
  const done = (work: () => void) => () => {
    work();
    onClose();
  };
  const oneUp = (['third', 'second', 'first'] as const).flatMap((from) =>
    situation.bases[from] === null
      ? []
      : [
          {
            from,
            to: ({ first: 'second', second: 'third', third: 'home' } as const)[from],
          },
        ],
  );
  const anybodyOn = oneUp.length > 0;
  const rare = (text: string, work: () => void, disabled = false) => (
    <Button variant="outline-primary" disabled={disabled} onClick={done(work)}>
      {text}
    </Button>
  );
  return (
    <Modal show centered animation={false} onHide={onClose} size="lg" scrollable>
      <Modal.Header closeButton>
        <Modal.Title>More</Modal.Title>
      </Modal.Header>
      <Modal.Body className="more-panel">
        <h3>Pitch</h3>
        <div className="more-row">
          {rare('Ball in the dirt', () => {
            taps.pitch({ result: 'ball', dirt: true });
          })}
          {rare('Pitch-out', () => {
            taps.pitch({ result: 'ball', pitchOut: true });
          })}
          {rare(
            'Wild pitch, runners up one',
            () => {
              taps.pitch({ result: 'ball', away: 'wildPitch', runners: oneUp });
            },
            !anybodyOn,
          )}
          {rare(
            'Passed ball, runners up one',
            () => {
              taps.pitch({ result: 'ball', away: 'passedBall', runners: oneUp });
            },
            !anybodyOn,
          )}
          {rare('Hit batter', () => {
            taps.pitch({ result: 'hitByPitch' });
          })}
          {rare('Foul tip', () => {
            taps.pitch({ result: 'foulTip' });
          })}
          {rare('Foul bunt', () => {
            taps.pitch({ result: 'foulBunt' });
          })}
          {rare('Catcher interference', () => {
            taps.pitch({ result: 'interference' });
          })}
          {rare('Illegal pitch', () => {
            taps.pitch({ result: 'illegal' });
          })}
          {rare('No pitch', () => {
            taps.pitch({ result: 'noPitch' });
          })}
          {rare('Intentional walk', () => {
            taps.tell({ kind: 'intentionalWalk' });
          })}
        </div>
        <h3>Between pitches</h3>
        <div className="more-row">
          {rare(
            'Balk',
            () => {
              taps.tell({ kind: 'balk' });
            },
            !anybodyOn,
          )}
          {rare(
            'Runners up one, throw away',
            () => {
              tell({ kind: 'runners', why: 'overthrow', runners: oneUp });
            },
            !anybodyOn,
          )}
          {rare(
            'Left early, out',
            () => {
              const last = oneUp.at(-1);
              if (last)
                tell({
                  kind: 'runners',
                  why: 'leftEarly',
                  runners: [{ from: last.from, out: last.from, how: 'leftEarly' }],
                });
            },
            !anybodyOn,
          )}
          {rare('Batter out, no pitch', () => {
            taps.tell({ kind: 'batterOut', why: 'outOfBox' });
          })}
          {rare('Batted out of turn', () => {
            tell({ kind: 'outOfTurn' });
          })}
          {rare('Our mound visit', () => {
            tell({ kind: 'visit', team: ours });
          })}
          {rare('Their mound visit', () => {
            tell({ kind: 'visit', team: theirs });
          })}
        </div>
        <Choice
          label={weBat ? 'Their infield' : 'Our infield'}
          showLabel
          value={(situation.alignment?.infield ?? 'back') as 'back'}
          options={INFIELD}
          onChange={(infield) => {
            tell({ kind: 'alignment', ...situation.alignment, infield });
          }}
        />
        <Choice
          label="Outfield"
          showLabel
          value={(situation.alignment?.outfield ?? 'straight') as 'straight'}
          options={OUTFIELD}
          onChange={(outfield) => {
            tell({ kind: 'alignment', ...situation.alignment, outfield });
          }}
        />
        <PickOne
          label="Who covers second"
          value={situation.alignment?.covers ?? ''}
          options={[
            { value: '', text: 'Not seen' },
            { value: 'SS', text: 'Shortstop' },
            { value: '2B', text: 'Second baseman' },
          ]}
          onChange={(covers) => {
            if (covers !== '') tell({ kind: 'alignment', ...situation.alignment, covers });
          }}
        />
        <h3>The game</h3>
        <div className="more-row">
          {rare('End the half', () => {
            tell({ kind: 'halfEnded', why: 'league rule' });
          })}
          <Choice label="Why it ends" value={why} options={ENDS} onChange={setWhy} />
          {rare(why === 'forfeit' ? 'We win by forfeit' : 'End the game', () => {
            tell({ kind: 'ended', why, ...(why === 'forfeit' && { winner: ours }) });
          })}
          {why === 'forfeit' &&
            rare(`${opponentName} win by forfeit`, () => {
              tell({ kind: 'ended', why, winner: theirs });
            })}
        </div>
      </Modal.Body>
    </Modal>
  );
}
