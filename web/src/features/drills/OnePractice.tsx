import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Empty, Failure, Loading } from '../../ui/index.ts';
import { DrillPage, type DrillsInView } from './DrillPage.tsx';
import type { KeptPractice } from './practiceChange.ts';
import { usePractices } from './usePractices.ts';

/** A practice, however it is looked at: it is there, or it says where it went. */
export function OnePractice({
  title,
  children,
}: {
  title: string;
  children: (
    practice: KeptPractice,
    view: DrillsInView,
    practices: ReturnType<typeof usePractices>,
  ) => ReactNode;
}) {
  return <DrillPage title={title}>{(view) => <Found view={view}>{children}</Found>}</DrillPage>;
}

function Found({
  view,
  children,
}: {
  view: DrillsInView;
  children: Parameters<typeof OnePractice>[0]['children'];
}) {
  const { practiceId } = useParams();
  const practices = usePractices(view.team.id);
  if (practices.error) return <Failure error={practices.error} retry={practices.retry} />;
  if (practices.isLoading) return <Loading what="the practice" />;
  const practice = practices.practices.find(({ id }) => id === practiceId);
  if (!practice) {
    return (
      <Empty title="This practice is gone.">
        <Link className="btn btn-primary" to={`/teams/${view.team.id}/drills`}>
          All practices
        </Link>
      </Empty>
    );
  }
  return children(practice, view, practices);
}
