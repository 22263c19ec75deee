import type { Team } from '@bradyon/contract/teams';
import { byNumber, type Person } from '@bradyon/core/people';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Empty, Failure, Loading, useTitle } from '../../ui/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { DrillTabs } from './DrillTabs.tsx';
import { useReps, type Reps } from './useReps.ts';

/** What every page of the drills works with. */
export interface DrillsInView {
  team: Team;
  /** Ours, by their numbers. */
  players: Person[];
  reps: Reps;
}

/** The frame of a page about drills: there is somebody to practice, and what they have done is here. */
export function DrillPage({
  title,
  care,
  children,
}: {
  title: string;
  /** What may hurt, in one line. */
  care?: string;
  children: (view: DrillsInView) => ReactNode;
}) {
  useTitle(title);
  const team = useTeam();
  const { people, isLoading, error, retry } = usePeople(team.id);
  const reps = useReps(team.id);
  if (error) return <Failure error={error} retry={retry} />;
  if (reps.error) return <Failure error={reps.error} retry={reps.retry} />;
  if (isLoading || reps.isLoading) return <Loading what="your drills" />;
  const players = people
    .filter(({ opponentId, retired }) => opponentId === null && !retired)
    .toSorted(byNumber);
  return (
    <>
      <div className="page-head no-print">
        <h1>{title}</h1>
        <DrillTabs />
      </div>
      {players.length === 0 ? (
        <Empty title="Nobody to practice yet.">
          <Link className="btn btn-primary" to={`/teams/${team.id}/people`}>
            Add players
          </Link>
        </Empty>
      ) : (
        children({ team, players, reps })
      )}
      {care && <p className="drills-care quiet no-print">{care}</p>}
    </>
  );
}
