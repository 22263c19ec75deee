import type { Person } from '@bradyon/core/people';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Empty, Failure, Loading, useTitle } from '../../ui/index.ts';
import { CatcherSelect, FacingSelect, PitcherSelect, RunnerSelect } from '../people/index.ts';
import { LeadTabs } from './LeadTabs.tsx';
import { LeaveView } from './LeaveView.tsx';
import { useLeads, type Leads } from './useLeads.ts';

/** Who is out there, with nobody missing. */
export interface Out {
  runner: Person;
  pitcher: Person;
  catcher: Person | null;
}

/**
 * The frame of a Leads page: who is out there, and the page itself as soon as all is known. Where
 * nobody may lead off, leaving in time is asked instead, whatever the page.
 */
export function LeadPage({
  title,
  children,
}: {
  title: string;
  children: (leads: Leads, out: Out) => ReactNode;
}) {
  useTitle(title);
  const leads = useLeads();
  const { team, onField } = leads;
  if (leads.error) return <Failure error={leads.error} retry={leads.retry} />;
  if (leads.isLoading) return <Loading what="your times" />;
  if (team.ruleset.leadRule !== 'open') return <LeaveView leads={leads} />;
  const { runner, pitcher, catcher } = onField;
  return (
    <>
      <div className="page-head">
        <h1>{title}</h1>
        <LeadTabs />
      </div>
      <div className="lead-who no-print">
        <RunnerSelect />
        <FacingSelect />
        <PitcherSelect label="Pitcher" />
        <CatcherSelect label="Catcher" />
      </div>
      {runner && pitcher ? (
        children(leads, { runner, pitcher, catcher })
      ) : (
        <Empty title="Choose a runner and a pitcher.">
          <Link className="btn btn-primary" to={`/teams/${team.id}/people`}>
            Add players
          </Link>
        </Empty>
      )}
    </>
  );
}

/** What hurts, short. */
export function LeadCare({ headFirst }: { headFirst: boolean }) {
  return (
    <p className="lead-care quiet">
      Diving back can hurt hands and head. Dive only as taught, to the outside of the bag
      {headFirst ? '' : ', and feet first where the league forbids head-first'}. Helmets on. Your
      league&rsquo;s book and the umpire decide when a runner may lead off. If it hurts, stop and
      see a trainer or doctor.
    </p>
  );
}
