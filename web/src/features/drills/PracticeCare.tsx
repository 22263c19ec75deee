import type { PracticeRecord } from '@bradyon/contract/drills';
import type { Team } from '@bradyon/contract/teams';
import {
  ageAt,
  limitsOf,
  sprintsIn,
  throwsIn,
  type Arm,
  type PracticeLimits,
} from '@bradyon/core/drills';
import type { Person } from '@bradyon/core/people';
import Button from 'react-bootstrap/Button';
import { Stepper } from '../../ui/index.ts';

/** What a day may ask of a player at most, as the team sets it, against what this practice does. */
export function PracticeCare({
  practice,
  team,
  players,
  change,
}: {
  practice: PracticeRecord;
  team: Team;
  players: readonly Person[];
  change: (parts: Partial<PracticeRecord>) => void;
}) {
  const limits = limitsOf(practice, ageAt(team.level));
  const there = new Set(practice.groups.flat());
  const arms = (position: 'P' | 'C'): number =>
    players.filter(({ id, positions }) => there.has(id) && positions.includes(position)).length;
  const set = (parts: Partial<PracticeLimits>): void => {
    change({ limits: { ...limits, ...parts } });
  };
  const thrown = (arm: Arm, position: 'P' | 'C'): number => throwsIn(practice, arm, arms(position));
  const sprints = Math.ceil(
    Math.max(0, ...practice.groups.map((_, group) => sprintsIn(practice, group))),
  );
  return (
    <>
      <h2>Limits of the day</h2>
      <Limit
        label="Full sprints each"
        used={sprints}
        limit={limits.sprints}
        most={40}
        onChange={(value) => {
          set({ sprints: value });
        }}
      />
      <Limit
        label="Timed throws, each pitcher"
        used={thrown('pitcher', 'P')}
        limit={limits.pitcherThrows}
        most={60}
        onChange={(value) => {
          set({ pitcherThrows: value });
        }}
      />
      <Limit
        label="Timed throws, each catcher"
        used={thrown('catcher', 'C')}
        limit={limits.catcherThrows}
        most={60}
        onChange={(value) => {
          set({ catcherThrows: value });
        }}
      />
      <p className="quiet">
        {practice.limits ? (
          <>
            Your limits; the next practice starts from them.{' '}
            <Button
              variant="link"
              onClick={() => {
                change({ limits: null });
              }}
            >
              Back to those of the age
            </Button>
          </>
        ) : (
          'Usual for the age. Before a game throw less. Lower limits of a trainer or parent win.'
        )}
      </p>
    </>
  );
}

function Limit({
  label,
  used,
  limit,
  most,
  onChange,
}: {
  label: string;
  used: number;
  limit: number;
  most: number;
  onChange: (value: number) => void;
}) {
  const isOver = used > limit;
  return (
    <div className={isOver ? 'drills-problem' : undefined}>
      <Stepper
        label={`${label}: ${Number.isFinite(used) ? String(used) : 'nobody to throw'} of at most`}
        value={limit}
        step={1}
        min={0}
        max={most}
        text={String}
        onChange={onChange}
      />
    </div>
  );
}
