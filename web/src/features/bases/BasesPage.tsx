import type { ReactNode } from 'react';
import { Failure, Folded, Loading, useTitle } from '../../ui/index.ts';
import {
  Diamond,
  FromChoice,
  onText,
  OUT_TEXT,
  OutsChoice,
  PlayForChoice,
  UpSelect,
} from '../innings/index.ts';
import { FacingSelect } from '../people/index.ts';
import { BasesTabs } from './BasesTabs.tsx';
import { useBases, type BasesInView } from './useBases.ts';

/** The frame of a page about the bases: the situation, each part a tap away, and the page as soon as all is known. */
export function BasesPage({
  title,
  controls,
  children,
}: {
  title: string;
  /** What else is chosen with the situation. */
  controls?: (view: BasesInView) => ReactNode;
  children: (view: BasesInView) => ReactNode;
}) {
  useTitle(title);
  const view = useBases();
  if (view.error) return <Failure error={view.error} retry={view.retry} />;
  if (view.isLoading) return <Loading what="your lineup" />;
  const { situation, odds } = view;
  const { set } = odds;
  return (
    <>
      <div className="page-head">
        <h1>{title}</h1>
        <BasesTabs />
      </div>
      <Folded
        chosen={`${onText(situation.bases)}, ${OUT_TEXT[situation.outs] ?? ''}${odds.up ? `, ${odds.up.person.name} up` : ''}`}
      >
        <div className="bases-situation">
          <Diamond
            bases={situation.bases}
            onChange={(bases) => {
              set({ bases });
            }}
          />
          <div className="bases-set">
            <div className="control-row">
              <OutsChoice {...odds} />
              <FromChoice {...odds} />
              <PlayForChoice {...odds} />
              {odds.order.length > 0 && <UpSelect label="Up" view={odds} />}
              <FacingSelect />
            </div>
            {controls && <div className="control-row">{controls(view)}</div>}
          </div>
        </div>
      </Folded>
      {children(view)}
      <p className="bases-care quiet no-print">
        Slide as taught, and never run into the catcher or a fielder. The umpire and your
        league&rsquo;s book decide. If it hurts, stop and see a trainer or doctor.
      </p>
    </>
  );
}
