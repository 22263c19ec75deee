import type { Person } from '@bradyon/core/people';
import {
  DELIVERY_STYLES,
  WATCH_PLANS,
  type ReadingKind,
  type WatchPlanName,
} from '@bradyon/core/timing';
import { timesFromRelease } from '@bradyon/core/rules';
import { TARGET_BASES, type Base } from '@bradyon/core/units';
import { Undo2 } from 'lucide-react';
import { Suspense, useState, type ComponentType } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { Choice, Empty, useKeys } from '../../ui/index.ts';
import {
  CatcherSelect,
  FacingSelect,
  PitcherSelect,
  RunnerSelect,
  handWord,
  usePlaying,
} from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { BaseChoice } from './BaseChoice.tsx';
import { Latest, Seen, ThumbLine } from './Seen.tsx';
import type { SplitOwner } from './drafts.ts';
import { useWatch } from './useWatch.ts';
import { WatchFace } from './WatchFace.tsx';
import { STYLE_WORDS } from './words.ts';

const PICK_BASES = ['first', 'second', 'third'] as const satisfies readonly Base[];

/** What a watch may show of other rooms. */
export interface WatchProps {
  /** Whether the runner who was picked goes. */
  Verdict: ComponentType;
  /** Notes how far off one of theirs stands. */
  Lead?: ComponentType<{ runner: Person; base: 'first' | 'second' }>;
}

/** The chained watch: set, first move (softball: release), mitt, bag; or first move to a base. */
export function BatteryWatch({ Verdict }: WatchProps) {
  const team = useTeam();
  const { playing, onField, pick } = usePlaying(team.id);
  const { pitcher, catcher, runner } = onField;
  const { base, style } = playing;
  const fromRelease = timesFromRelease(team.ruleset);
  const [fromSet, setFromSet] = useState(false);
  const [pickOff, setPickOff] = useState(false);
  const [pickBase, setPickBase] = useState<(typeof PICK_BASES)[number]>('first');

  const planName: WatchPlanName = fromRelease
    ? 'softballBattery'
    : pickOff
      ? fromSet
        ? 'pickFromSet'
        : 'pick'
      : fromSet
        ? 'batteryFromSet'
        : 'battery';
  const ownerOf = (kind: ReadingKind): SplitOwner | null => {
    if (kind === 'pop') return catcher && { personId: catcher.id, base };
    if (!pitcher) return null;
    if (kind === 'pick') return { personId: pitcher.id, base: pickBase };
    const toward = pickOff ? null : base;
    return kind === 'delivery'
      ? { personId: pitcher.id, base, style }
      : { personId: pitcher.id, base: toward };
  };
  const hand = useWatch(team.id, planName, ownerOf);
  const toBase = (value: (typeof TARGET_BASES)[number]): void => {
    pick({ base: value });
    setPickBase(value);
  };
  useKeys({
    Space: hand.tap,
    n: hand.end,
    z: hand.undo,
    2: () => {
      toBase('second');
    },
    3: () => {
      toBase('third');
    },
    ...(!fromRelease && {
      1: () => {
        setPickBase('first');
      },
      l: () => {
        pick({ style: 'legLift' });
      },
      s: () => {
        pick({ style: 'slideStep' });
      },
      h: () => {
        setFromSet((on) => !on);
      },
      p: () => {
        setPickOff((on) => !on);
      },
    }),
  });

  const who = pitcher?.name ?? 'No pitcher chosen';
  const styleWords = fromRelease ? '' : `, ${STYLE_WORDS[style].toLowerCase()}`;
  const about = pickOff ? `${who}, pickoff to ${pickBase}` : `${who}${styleWords}, to ${base}`;
  const canEnd = hand.splits.length > 0 && !hand.watch.ended;
  const kinds = WATCH_PLANS[planName].kinds;
  return (
    <div className="time">
      <div className="time-hand">
        <div className="time-who">
          <div className="person-select time-facing">
            <FacingSelect />
          </div>
          <PitcherSelect label="Pitcher" />
          <CatcherSelect label="Catcher" />
          <RunnerSelect />
        </div>
        <WatchFace hand={hand} about={about} />
        {pitcher && catcher && runner && (
          <p className="time-verdict" role="status">
            {hand.splits.length === 0 ? (
              <span className="quiet">Time a pitch to see if {runner.name} goes.</span>
            ) : (
              <Suspense>
                <Verdict />
              </Suspense>
            )}
          </p>
        )}
        <div className="time-keys">
          {!fromRelease && (
            <Choice
              label="Delivery"
              options={DELIVERY_STYLES.map((value) => ({
                value,
                text: STYLE_WORDS[value],
                hotkey: value === 'legLift' ? 'L' : 'S',
              }))}
              value={style}
              onChange={(value) => {
                pick({ style: value });
              }}
            />
          )}
          {pickOff ? (
            <BaseChoice
              label="Pickoff to"
              bases={PICK_BASES}
              value={pickBase}
              onChange={setPickBase}
            />
          ) : (
            <BaseChoice label="Throw to" bases={TARGET_BASES} value={base} onChange={toBase} />
          )}
          <div className="time-buttons">
            {!fromRelease && (
              <>
                <Button
                  variant="outline-primary"
                  active={fromSet}
                  aria-pressed={fromSet}
                  onClick={() => {
                    setFromSet(!fromSet);
                  }}
                >
                  From set <kbd>H</kbd>
                </Button>
                <Button
                  variant="outline-primary"
                  active={pickOff}
                  aria-pressed={pickOff}
                  onClick={() => {
                    setPickOff(!pickOff);
                  }}
                >
                  Pickoff <kbd>P</kbd>
                </Button>
              </>
            )}
            <Button variant="outline-primary" disabled={!canEnd} onClick={hand.end}>
              No throw <kbd>N</kbd>
            </Button>
            <UndoButton hand={hand} />
          </div>
        </div>
        <ThumbLine kinds={kinds} />
      </div>
      <div className="time-seen">
        {pitcher && (
          <Seen
            person={pitcher}
            role={`pitcher, ${handWord(pitcher.throws)}`}
            kinds={['hold', 'delivery', 'flight', 'pick']}
            thrower="pitcher"
          />
        )}
        {catcher && <Seen person={catcher} role="catcher" kinds={['pop']} thrower="catcher" />}
        {!pitcher && !catcher && <NobodyToTime who="pitchers and catchers" />}
        <Latest people={[pitcher, catcher]} kinds={['hold', 'delivery', 'flight', 'pick', 'pop']} />
      </div>
    </div>
  );
}

/** Takes the last tap back. */
export function UndoButton({
  hand,
}: {
  hand: Pick<ReturnType<typeof useWatch>, 'watch' | 'undo'>;
}) {
  return (
    <Button variant="outline-primary" disabled={hand.watch.tapsMs.length === 0} onClick={hand.undo}>
      <Undo2 size={18} aria-hidden="true" /> Undo <kbd>Z</kbd>
    </Button>
  );
}

export function NobodyToTime({ who }: { who: string }) {
  const { id } = useTeam();
  return (
    <Empty title="Nobody to time yet.">
      <p>Add {who} under Team, then come back here.</p>
      <Link className="btn btn-primary" to={`/teams/${id}/people`}>
        Add players
      </Link>
    </Empty>
  );
}
