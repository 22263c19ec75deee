import type { ReactNode } from 'react';
import { Choice, Failure, Folded, Loading, useTitle } from '../../ui/index.ts';
import { Diamond, onText, OUT_TEXT, UpSelect } from '../innings/index.ts';
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
              <Choice
                label="Outs"
                value={String(situation.outs)}
                options={['0', '1', '2'].map((value) => ({ value, text: `${value} out` }))}
                onChange={(outs) => {
                  set({ outs: Number(outs) });
                }}
              />
              {odds.hasGame && (
                <Choice
                  label="Situation"
                  value={situation.from}
                  options={[
                    { value: 'hand', text: 'Set by hand' },
                    { value: 'game', text: 'As in the game' },
                  ]}
                  onChange={(from) => {
                    set({ from });
                  }}
                />
              )}
              <Choice
                label="Play for"
                value={situation.by}
                options={[
                  { value: 'win', text: 'The win' },
                  { value: 'runs', text: 'Runs' },
                ]}
                onChange={(by) => {
                  set({ by });
                }}
              />
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
