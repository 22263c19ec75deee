import type { Person } from '@bradyon/core/people';
import { DELIVERY_STYLES, planForBattery, type ReadingKind } from '@bradyon/core/timing';
import { TARGET_BASES } from '@bradyon/core/units';
import { Undo2 } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { Choice, Empty } from '../../ui/index.ts';
import {
  handWord,
  personLabel,
  PersonSelect,
  SideSelect,
  usePeople,
  usePlaying,
} from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { groupsOf } from './groups.ts';
import { GroupView } from './GroupView.tsx';
import { ReadingList } from './ReadingList.tsx';
import { useKeys } from './useKeys.ts';
import { useReadings } from './useReadings.ts';
import { useWatch, type SplitOwner } from './useWatch.ts';
import { WatchFace } from './WatchFace.tsx';
import { BASE_WORDS, STYLE_WORDS } from './words.ts';

const LATEST = 6;
const options = <T extends string>(values: readonly T[], words: Record<T, string>) =>
  values.map((value) => ({ value, text: words[value] }));

/** The chained watch: first move (softball: release), mitt, bag. */
export function BatteryWatch() {
  const team = useTeam();
  const { opponents } = usePeople(team.id);
  const { playing, lineup, pick } = usePlaying(team.id);
  const { pitcher, catcher } = lineup;
  const { base, style } = playing;
  const isBaseball = team.ruleset.sport === 'baseball';

  const ownerOf = (kind: ReadingKind): SplitOwner | null => {
    const person = kind === 'pop' ? catcher : pitcher;
    return (
      person && {
        personId: person.id,
        base,
        style: kind === 'delivery' ? style : null,
        leadFeet: null,
      }
    );
  };
  const hand = useWatch(team.id, planForBattery(team.ruleset.sport), ownerOf);
  useKeys({
    Space: hand.tap,
    n: hand.end,
    z: hand.undo,
    2: () => {
      pick({ base: 'second' });
    },
    3: () => {
      pick({ base: 'third' });
    },
    ...(isBaseball && {
      l: () => {
        pick({ style: 'legLift' });
      },
      s: () => {
        pick({ style: 'slideStep' });
      },
    }),
  });

  const styleWords = isBaseball ? `, ${STYLE_WORDS[style].toLowerCase()}` : '';
  const about = `${pitcher?.name ?? 'Nobody on the mound'}${styleWords}, to ${base}`;
  const canEnd = hand.splits.length > 0 && !hand.watch.ended;
  return (
    <div className="time">
      <div className="time-hand">
        <div className="time-who">
          <div className="person-select time-facing">
            <SideSelect
              opponents={opponents}
              value={lineup.facing}
              onChange={(facing) => {
                pick({ facing, pitcherId: null, catcherId: null });
              }}
            />
          </div>
          <PersonSelect
            label={isBaseball ? 'On the mound' : 'In the circle'}
            people={lineup.pitchers}
            position={{ position: 'P', players: 'Pitchers' }}
            value={pitcher}
            onChange={(pitcherId) => {
              pick({ facing: lineup.facing, pitcherId });
            }}
          />
          <PersonSelect
            label="Behind the plate"
            people={lineup.catchers}
            position={{ position: 'C', players: 'Catchers' }}
            value={catcher}
            onChange={(catcherId) => {
              pick({ facing: lineup.facing, catcherId });
            }}
          />
        </div>
        <WatchFace hand={hand} about={about} />
        <div className="time-keys">
          {isBaseball && (
            <Choice
              label="Delivery"
              options={options(DELIVERY_STYLES, STYLE_WORDS)}
              value={style}
              onChange={(value) => {
                pick({ style: value });
              }}
            />
          )}
          <Choice
            label="Throw to"
            options={options(TARGET_BASES, BASE_WORDS)}
            value={base}
            onChange={(value) => {
              pick({ base: value });
            }}
          />
          <Button variant="outline-primary" disabled={!canEnd} onClick={hand.end}>
            No throw <kbd>N</kbd>
          </Button>
          <Button
            variant="outline-primary"
            disabled={hand.watch.tapsMs.length === 0}
            onClick={hand.undo}
          >
            <Undo2 size={18} aria-hidden="true" /> Undo <kbd>Z</kbd>
          </Button>
        </div>
      </div>
      <div className="time-seen">
        {pitcher && (
          <Seen
            person={pitcher}
            role={`pitcher, ${handWord(pitcher.throws)}`}
            kinds={['delivery', 'flight']}
          />
        )}
        {catcher && <Seen person={catcher} role="catcher" kinds={['pop']} />}
        {!pitcher && !catcher && (
          <Empty title="Nobody to time yet.">
            <p>Add their pitchers and catchers under Team, then come back with the watch.</p>
            <Link className="btn btn-primary" to={`/teams/${team.id}/people`}>
              Add players
            </Link>
          </Empty>
        )}
        <Latest people={[pitcher, catcher]} kinds={['delivery', 'flight', 'pop']} />
      </div>
    </div>
  );
}

/** What is known of somebody so far. */
export function Seen({
  person,
  role,
  kinds,
}: {
  person: Person;
  role: string;
  kinds: ReadingKind[];
}) {
  const { id: teamId } = useTeam();
  const readings = useReadings(teamId)
    .of(person.id)
    .filter(({ kind }) => kinds.includes(kind));
  return (
    <section className="card-box">
      <div className="time-person">
        <h2>
          <Link to={`/teams/${teamId}/timing/${person.id}`}>{personLabel(person)}</Link>
        </h2>
        <span className="quiet">{role}</span>
      </div>
      {readings.length === 0 ? (
        <p className="quiet">Nothing timed yet.</p>
      ) : (
        groupsOf(readings).map((group) => <GroupView key={group.key} group={group} />)
      )}
    </section>
  );
}

/** The last taps, to set a wrong one aside. */
export function Latest({ people, kinds }: { people: (Person | null)[]; kinds: ReadingKind[] }) {
  const { id: teamId } = useTeam();
  const readings = useReadings(teamId);
  const known = people.filter((person) => person !== null);
  const latest = known
    .flatMap(({ id }) => readings.of(id))
    .filter(({ kind }) => kinds.includes(kind))
    .toSorted((a, b) => b.takenAt.localeCompare(a.takenAt))
    .slice(0, LATEST);
  if (latest.length === 0) return null;
  return (
    <section className="card-box">
      <h2>Latest</h2>
      <ReadingList
        readings={latest}
        nameOf={({ personId }) => known.find(({ id }) => id === personId)?.name ?? ''}
      />
    </section>
  );
}
