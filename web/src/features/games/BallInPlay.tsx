import type { Move } from '@bradyon/core/games';
import { useState, type PointerEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import { baseSpot, FieldMark, FieldView, type Spot } from '../../ui/field/index.ts';
import { Choice, PickOne } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import {
  alongLines,
  ballOf,
  endsFor,
  fielderAt,
  inField,
  movesOf,
  proposedEnds,
  type Ends,
  type InPlayDraft,
} from './inPlay.ts';
import type { Taps } from './useTaps.ts';
import { useGame } from './useGame.ts';

const CONTACTS = [
  { value: 'ground', text: 'Ground' },
  { value: 'line', text: 'Line' },
  { value: 'fly', text: 'Fly' },
  { value: 'pop', text: 'Pop' },
  { value: 'bunt', text: 'Bunt' },
] as const;
const RESULTS = [
  { value: 'single', text: 'Single' },
  { value: 'double', text: 'Double' },
  { value: 'triple', text: 'Triple' },
  { value: 'homeRun', text: 'Home run' },
  { value: 'thrownOut', text: 'Out at first' },
  { value: 'caught', text: 'Caught' },
  { value: 'fieldersChoice', text: 'Fielder’s choice' },
  { value: 'error', text: 'Error' },
  { value: 'infieldFly', text: 'Infield fly' },
] as const;
const POSITIONS = ['P', 'C', '1B', '2B', '3B', 'SS', 'LF', 'CF', 'RF'] as const;
const ON = ['first', 'second', 'third'] as const;
const STEPS = ['first', 'second', 'third', 'home'] as const;

/** Where it went, what came of it, and how everybody moved: proposed, and dragged or chosen otherwise. */
export function BallInPlay({ taps, onClose }: { taps: Taps; onClose: () => void }) {
  const { ruleset } = useTeam();
  const { situation, now, name } = useGame();
  const { state } = now.reading;
  const share = ruleset.baseDistanceFeet / 90;
  const view = { left: -190 * share, top: 300 * share, width: 380 * share, height: 325 * share };
  const [draft, setDraft] = useState<InPlayDraft>({
    contact: 'ground',
    result: 'single',
    at: null,
    fielder: null,
    double: false,
    bunt: null,
  });
  const [own, setOwn] = useState<Ends>({});
  const set = (change: Partial<InPlayDraft>): void => {
    setDraft({ ...draft, ...change });
    setOwn({});
  };
  const ends: Ends = { ...proposedEnds(state, draft), ...own };
  const movers: Move['from'][] = [
    ...ON.toReversed().filter((base) => situation.bases[base] !== null),
    'batter',
  ];
  const place = (event: PointerEvent<HTMLDivElement>): void => {
    const picture = event.currentTarget.querySelector('svg')?.getBoundingClientRect();
    if (!picture || (event.target as Element).closest('[role=slider]')) return;
    const spot = {
      x: view.left + ((event.clientX - picture.left) / picture.width) * view.width,
      y: view.top - ((event.clientY - picture.top) / picture.height) * view.height,
    };
    const at = alongLines(spot);
    set({ at, fielder: fielderAt(at, ruleset.baseDistanceFeet) });
  };
  const canDouble =
    draft.result === 'thrownOut' && situation.bases.first !== null && situation.outs < 2;
  return (
    <Modal show centered animation={false} onHide={onClose} size="xl" scrollable>
      <Modal.Header closeButton>
        <Modal.Title>Ball in play, {name(situation.batter)} up</Modal.Title>
      </Modal.Header>
      <Modal.Body className="in-play">
        <div className="in-play-field" onPointerUp={place}>
          <FieldView
            view={view}
            baseFeet={ruleset.baseDistanceFeet}
            pitchingFeet={ruleset.pitchingDistanceFeet}
            label="Tap where the ball was fielded. Drag the runners."
          >
            {movers.flatMap((from) => {
              const at = spotOf(from, ends[from] ?? '', draft, ruleset.baseDistanceFeet);
              if (!at) return [];
              const move = (end: string): void => {
                setOwn({ ...own, [from]: end });
              };
              return (
                <FieldMark
                  key={from}
                  spot={at}
                  tone="runner"
                  text={name(
                    from === 'batter' ? situation.batter : situation.bases[from as 'first'],
                  )}
                  drag={{
                    label: `${from} runner ends at`,
                    value: STEPS.indexOf((ends[from] ?? from) as 'first'),
                    words: ends[from] === '' ? 'stays' : (ends[from] ?? 'stays'),
                    onMove: (spot) => {
                      move(nearestBase(spot, from, ruleset.baseDistanceFeet));
                    },
                    onStep: (out) => {
                      move(stepBase(from, ends[from] ?? '', out));
                    },
                  }}
                />
              );
            })}
            {draft.at && (
              <FieldMark spot={inField(draft.at)} tone="fielder" text={draft.fielder ?? ''} />
            )}
          </FieldView>
          <p className="quiet">Tap where it was fielded. Drag runners to change them.</p>
        </div>
        <div className="in-play-what">
          <Choice
            label="Off the bat"
            showLabel
            value={draft.contact}
            options={CONTACTS}
            onChange={(contact) => {
              set({ contact, bunt: contact === 'bunt' ? (draft.bunt ?? 'sacrifice') : null });
            }}
          />
          <Choice
            label="Result"
            showLabel
            value={draft.result}
            options={RESULTS.filter(({ value }) => value !== 'infieldFly' || situation.infieldFly)}
            onChange={(result) => {
              set({ result, double: false });
            }}
          />
          {draft.contact === 'bunt' && (
            <Choice
              label="The bunt was"
              showLabel
              value={draft.bunt ?? 'sacrifice'}
              options={[
                { value: 'sacrifice', text: 'Sacrifice' },
                { value: 'squeeze', text: 'Squeeze' },
                { value: 'hit', text: 'For a hit' },
              ]}
              onChange={(bunt) => {
                set({ bunt });
              }}
            />
          )}
          {canDouble && (
            <Choice
              label="Double play"
              showLabel
              value={draft.double ? 'yes' : 'no'}
              options={[
                { value: 'no', text: 'No' },
                { value: 'yes', text: 'Double play' },
              ]}
              onChange={(value) => {
                set({ double: value === 'yes' });
              }}
            />
          )}
          <Choice
            label="Fielded by"
            showLabel
            value={(draft.fielder ?? '') as (typeof POSITIONS)[number]}
            options={POSITIONS.map((value) => ({ value, text: value }))}
            onChange={(fielder) => {
              set({ fielder });
            }}
          />
          {movers.map((from) => (
            <PickOne
              key={from}
              label={name(from === 'batter' ? situation.batter : situation.bases[from as 'first'])}
              value={ends[from] ?? ''}
              options={endsFor(from)}
              onChange={(end) => {
                setOwn({ ...own, [from]: end });
              }}
            />
          ))}
        </div>
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          Cancel
        </Button>
        <Button
          onClick={() => {
            taps.pitch({
              result: 'inPlay',
              ball: ballOf(draft),
              ...(draft.bunt && { bunt: draft.bunt }),
              runners: movesOf(ends),
            });
            onClose();
          }}
        >
          Save
        </Button>
      </Modal.Footer>
    </Modal>
  );
}

const REACHED: Partial<Record<InPlayDraft['result'], 'first' | 'second' | 'third'>> = {
  single: 'first',
  error: 'first',
  fieldersChoice: 'first',
  double: 'second',
  triple: 'third',
};

/** Where a runner is drawn: at the base they end at; nowhere when out or in. */
function spotOf(
  from: Move['from'],
  end: string,
  draft: InPlayDraft,
  baseFeet: number,
): Spot | null {
  if (end.startsWith('out')) return null;
  if (end === '') {
    const base = from === 'batter' ? REACHED[draft.result] : from;
    return base === undefined ? null : baseSpot(base, baseFeet);
  }
  return baseSpot(end as 'first', baseFeet);
}

/** The base nearest to where somebody was dropped, not behind where they started. */
function nearestBase(spot: Spot, from: Move['from'], baseFeet: number): string {
  const ahead = STEPS.slice(from === 'batter' ? 0 : STEPS.indexOf(from));
  const nearest = ahead.toSorted((a, b) => apart(a) - apart(b))[0] ?? 'home';
  return nearest === from ? '' : nearest;
  function apart(base: (typeof STEPS)[number]): number {
    const at = baseSpot(base, baseFeet);
    return Math.hypot(at.x - spot.x, at.y - spot.y);
  }
}

function stepBase(from: Move['from'], end: string, by: number): string {
  const start = from === 'batter' ? -1 : STEPS.indexOf(from);
  const now = end === '' ? start : STEPS.indexOf(end as 'first');
  const next = Math.min(3, Math.max(start, now + Math.sign(by)));
  return next === start ? '' : (STEPS[next] ?? '');
}
