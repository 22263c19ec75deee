import { lastOwnInning, type StealChances } from '@bradyon/core/innings';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Choice, Failure, Folded, How, Loading, Sheet, Stepper, useTitle } from '../../ui/index.ts';
import { CatcherSelect, FacingSelect, PitcherSelect } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { MOST_LEAD } from './best.ts';
import { BestCard, type Columns } from './BestCard.tsx';
import { HalfChoice } from './HalfChoice.tsx';
import { inWorker } from './heavy.ts';
import './OddsPage.scss';
import { OddsTabs } from './OddsTabs.tsx';
import { UpSelect } from './UpSelect.tsx';
import { useOdds, type OddsInView } from './useOdds.ts';
import { scoreText } from './situationWords.ts';
import { useStealChances } from './useStealChances.ts';

/** The best choice in each state of bases and outs, by score or by who is up: a card for the bench. */
export function BestPage() {
  useTitle('Best choices');
  const view = useOdds();
  if (view.error) return <Failure error={view.error} retry={view.retry} />;
  if (view.isLoading) return <Loading what="your lineup" />;
  return <Choices view={view} />;
}

function Choices({ view }: { view: OddsInView }) {
  const team = useTeam();
  const { game, situation, set, order, up, level, theirs } = view;
  const [columns, setColumns] = useState<Columns>('leads');
  const own = useStealChances(order);
  // One average batter stands for all where nobody's season is known: so do the legs.
  const isLineup = game.ours.length > 1;
  const steals = isLineup ? own : own && [averageOf(own)];
  const asked = {
    game: {
      level: game.level,
      rules: game.rules,
      ours: game.ours,
      theirs: game.theirs,
      allowed: game.allowed,
    },
    weAreHome: situation.half === 'bottom',
    bunts: isLineup ? order.map(({ bunt }) => bunt) : [level.bunt],
    steals: steals ?? [],
  };
  const best = useQuery({
    queryKey: ['best', team.id, asked],
    queryFn: () => inWorker((heavy) => heavy.bestChoices(asked)),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 10 * 60_000,
    networkMode: 'always',
    structuralSharing: false,
    meta: { onlyHere: true },
  });
  return (
    <>
      <div className="page-head">
        <h1>Best choices</h1>
        <OddsTabs />
      </div>
      <Folded
        chosen={`Inning ${String(situation.inning)}, ${theirs.name}${columns === 'leads' && isLineup && up ? `, ${up.person.name} up` : ''}`}
      >
        <div className="control-row best-set">
          <HalfChoice view={view} />
          <Stepper
            label="Inning"
            value={situation.inning}
            step={1}
            min={1}
            max={lastOwnInning(game.rules)}
            text={(inning) =>
              inning > game.rules.innings ? `${String(inning)}, extra` : String(inning)
            }
            onChange={(inning) => {
              set({ inning });
            }}
          />
          <Choice
            label="Rows by"
            value={columns}
            options={[
              { value: 'leads', text: 'Scores' },
              { value: 'batters', text: 'Batters' },
            ]}
            onChange={setColumns}
          />
          {columns === 'leads' && isLineup ? (
            <UpSelect label="Up" view={view} />
          ) : (
            columns === 'batters' && (
              <Stepper
                label="Our lead"
                value={situation.lead}
                step={1}
                min={-MOST_LEAD}
                max={MOST_LEAD}
                text={scoreText}
                onChange={(lead) => {
                  set({ lead });
                }}
              />
            )
          )}
          <FacingSelect />
          <PitcherSelect label="Pitcher" />
          <CatcherSelect label="Catcher" />
        </div>
      </Folded>
      {best.error ? (
        <Failure error={best.error} retry={() => void best.refetch()} />
      ) : best.data ? (
        <Sheet title="Best choices">
          {(paper) => (
            <BestCard
              paper={paper}
              view={view}
              best={best.data}
              columns={columns}
              steals={steals}
              up={isLineup ? up : null}
            />
          )}
        </Sheet>
      ) : (
        <Loading what="your best choices" />
      )}
      <How>
        <p>
          For every spot in the game we try each choice and play on from there, with both teams at
          their best. The choice that wins most often is shown. Runners use their own chances from
          Steal, and batters use their own bunting. A bunt with a runner on third is a squeeze.
          Brackets mean too close to call.
        </p>
      </How>
    </>
  );
}

function averageOf(all: readonly StealChances[]): StealChances {
  const mean = (key: keyof StealChances) =>
    all.reduce((sum, chances) => sum + chances[key], 0) / all.length;
  return { second: mean('second'), third: mean('third'), double: mean('double') };
}
