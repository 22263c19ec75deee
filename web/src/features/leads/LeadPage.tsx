import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Failure, Folded, Loading, useTitle } from '../../ui/index.ts';
import { lastName, orTypical, standsInFor, RaceSelects } from '../people/index.ts';
import { WhatIf } from '../suppose/index.ts';
import { LeadTabs } from './LeadTabs.tsx';
import { LeaveView } from './LeaveView.tsx';
import { useLeads, type Leads, type Out } from './useLeads.ts';

/** The base a runner leads off. */
type Off = 'first' | 'second' | 'third';

/**
 * The frame of a page about leading off a base: who is out there, what may be typed over, and the
 * page itself as soon as all is known. Where nobody may lead off, leaving in time is asked instead.
 */
export function LeadPage({
  base,
  controls,
  children,
}: {
  base: Off;
  /** What else is chosen here, with who is out there. */
  controls: ReactNode;
  children: (leads: Leads, out: Out) => ReactNode;
}) {
  useTitle(`Leads off ${base}`);
  const leads = useLeads({ whatIf: true });
  const { team, onField } = leads;
  if (leads.error) return <Failure error={leads.error} retry={leads.retry} />;
  if (leads.isLoading) return <Loading what="your times" />;
  if (team.ruleset.leadRule !== 'open') return <LeaveView leads={leads} />;
  const out: Out = {
    runner: orTypical(onField.runner, 'runner'),
    pitcher: orTypical(onField.pitcher, 'pitcher'),
    catcher: orTypical(onField.catcher, 'catcher'),
  };
  const standIns = [out.runner, out.pitcher].flatMap((person) => standsInFor(person) ?? []);
  return (
    <>
      <div className="page-head">
        <h1>Leads off {base}</h1>
        <LeadTabs />
      </div>
      <Folded
        chosen={
          standIns.length === 2
            ? `Typical players, off ${base}`
            : `${lastName(out.runner)} vs ${lastName(out.pitcher)}, off ${base}`
        }
      >
        <RaceSelects />
        <div className="control-row">{controls}</div>
      </Folded>
      {standIns.length > 0 && (
        <p className="lead-stand-in">
          No {new Intl.ListFormat('en', { type: 'disjunction' }).format(standIns)} chosen: typical
          for the level. Type your times under What if, or{' '}
          <Link to={`/teams/${team.id}/people`}>add players</Link>.
        </p>
      )}
      {children(leads, out)}
      <LeadCare headFirst={team.ruleset.headFirstAllowed} />
    </>
  );
}

/** The times at this base that can be typed over. */
export function LeadWhatIf({ leads, out, base }: { leads: Leads; out: Out; base: Off }) {
  return <WhatIf times={leads.whatIfAt(base, out)} />;
}

/** What hurts, short. */
function LeadCare({ headFirst }: { headFirst: boolean }) {
  return (
    <p className="lead-care quiet">
      Diving back can hurt hands and head. Dive only as taught, to the outside of the bag
      {headFirst ? '' : ', and feet first where the league forbids head-first'}. Helmets on. Your
      league&rsquo;s book and the umpire decide when a runner may lead off. If it hurts, stop and
      see a trainer or doctor.
    </p>
  );
}
