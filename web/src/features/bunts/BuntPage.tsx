import { SURFACES, type Strikes, type Surface } from '@bradyon/core/bunts';
import { useId, type ReactNode } from 'react';
import { Choice, Empty, Failure, Folded, Loading, PickOne, useTitle } from '../../ui/index.ts';
import {
  Diamond,
  FromChoice,
  onText,
  OUT_TEXT,
  OutsChoice,
  PlayForChoice,
  UpSelect,
} from '../innings/index.ts';
import { useBuntDraft, useSurface } from './buntStore.ts';
import { BuntTabs } from './BuntTabs.tsx';
import { useBunt, type BuntInView } from './useBunt.ts';
import { PLAY_TEXT, SURFACE_TEXT } from './words.ts';

/** The frame of a page about bunting: the situation, each part a tap away, and the page as soon as all is known. */
export function BuntPage({
  title,
  plays = true,
  situation: asksSituation = true,
  children,
}: {
  title: string;
  /** Whether what the bunt is for is chosen here. */
  plays?: boolean;
  /** Whether the page depends on bases, outs and score. */
  situation?: boolean;
  children: (view: BuntInView) => ReactNode;
}) {
  useTitle(title);
  const view = useBunt();
  const heading = useId();
  if (view.error) return <Failure error={view.error} retry={view.retry} />;
  if (view.isLoading) return <Loading what="your lineup" />;
  const { situation, odds, play } = view;
  return (
    <>
      <div className="page-head">
        <h1 id={heading}>{title}</h1>
        <BuntTabs />
      </div>
      {view.team.ruleset.buntAllowed ? (
        <>
          {asksSituation && (
            <Folded
              chosen={`${PLAY_TEXT[play]}, ${onText(situation.bases)}, ${OUT_TEXT[situation.outs] ?? ''}${odds.up ? `, ${odds.up.person.name} up` : ''}`}
            >
              <Situation view={view} plays={plays} />
            </Folded>
          )}
          {children(view)}
          <p className="bunt-care quiet no-print">
            Fingers behind the barrel, and out of the way of the pitch. Slide as taught, and keep
            clear of the catcher. The umpire and your league&rsquo;s book decide.
          </p>
        </>
      ) : (
        <Empty title="Your rules do not allow bunting.">
          <p>If your league does, change it under Team, Rules.</p>
        </Empty>
      )}
    </>
  );
}

function Situation({ view, plays }: { view: BuntInView; plays: boolean }) {
  const { odds, situation, surface, play } = view;
  const { set } = odds;
  return (
    <div className="bunt-situation">
      <Diamond
        bases={situation.bases}
        onChange={(bases) => {
          set({ bases });
        }}
      />
      <div className="bunt-set">
        <div className="control-row">
          <OutsChoice {...odds} />
          <Choice
            label="Strikes"
            value={String(view.question.strikes)}
            options={['0', '1', '2'].map((value) => ({
              value,
              text: value === '1' ? '1 strike' : `${value} strikes`,
            }))}
            onChange={(strikes) => {
              useBuntDraft.setState({ strikes: Number(strikes) as Strikes });
              // Another count is no longer the game's.
              set({ outs: situation.outs });
            }}
          />
          <FromChoice {...odds} />
          <PlayForChoice {...odds} />
        </div>
        <div className="control-row">
          {plays && (
            <Choice
              label="Bunt for"
              value={play}
              options={view.plays.map((value) => ({ value, text: PLAY_TEXT[value] }))}
              onChange={(chosen) => {
                useBuntDraft.setState({ play: chosen });
              }}
            />
          )}
          {odds.order.length > 0 && <UpSelect label="Up" view={odds} />}
          <PickOne
            label="Ground"
            value={surface}
            options={SURFACES.map((value) => ({ value, text: SURFACE_TEXT[value] }))}
            onChange={(chosen) => {
              useSurface.setState({ surface: chosen as Surface });
            }}
          />
        </div>
      </div>
    </div>
  );
}
