import { lastOwnInning, type StealChances } from '@bradyon/core/innings';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState, type ComponentType, type ReactNode } from 'react';
import { Choice, Failure, Folded, How, Loading, Sheet, Stepper, useTitle } from '../../ui/index.ts';
import { CatcherSelect, FacingSelect, PitcherSelect } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { MOST_LEAD, type KnownByBatter } from './best.ts';
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
export function BestPage({
  Known,
}: {
  /** Works out the bunts by these people; it stands above this feature and is handed in. */
  Known: ComponentType<{ view: OddsInView; children: (known: KnownByBatter) => ReactNode }>;
}) {
  useTitle('Best choices');
  const view = useOdds();
  if (view.error) return <Failure error={view.error} retry={view.retry} />;
  if (view.isLoading) return <Loading what="your lineup" />;
  return <Known view={view}>{(known) => <Choices view={view} known={known} />}</Known>;
}

function Choices({ view, known }: { view: OddsInView; known: KnownByBatter }) {
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
    // All at once: a card with the bunts of some batters only would compare what cannot be compared.
    knownBunts: isLineup && known.done === known.of ? known.bySpot : [],
  };
  const waits = isLineup && known.done < known.of;
  const best = useQuery({
    queryKey: ['best', team.id, asked],
    queryFn: () => inWorker((heavy) => heavy.bestChoices(asked)),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 10 * 60_000,
    networkMode: 'always',
    structuralSharing: false,
    // The card of before stands, marked as such, until the one with the people's bunts is there.
    placeholderData: keepPreviousData,
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
            <div
              className="best-card"
              aria-busy={waits || best.isPlaceholderData || !view.isCurrent}
            >
              {waits && (
                <p role="status" className="quiet">
                  Working out bunts by batter: {known.done} of {known.of}. Until then they are by
                  season.
                </p>
              )}
              <BestCard
                paper={paper}
                view={view}
                best={best.data}
                columns={columns}
                steals={steals}
                up={isLineup ? up : null}
              />
              {game.allowed.buntAllowed && (
                <p>
                  <small>{buntsText(known, isLineup)}</small>
                </p>
              )}
            </div>
          )}
        </Sheet>
      ) : (
        <Loading what="your best choices" />
      )}
      <How>
        <p>
          For every spot in the game we try each choice and play on from there, with both teams at
          their best. The choice that wins most often is shown. Runners use their own chances from
          Steal. Bunts are worked out on the field from the batter’s speed and bunting record and
          from who is on base. A bunt with a runner on third is a squeeze. Brackets mean too close
          to call.
        </p>
      </How>
    </>
  );
}

/** Which figures the bunts rest on. */
function buntsText({ done, of }: KnownByBatter, isLineup: boolean): string {
  if (!isLineup) return 'Bunts are typical of the level.';
  if (of === 0 || done < of) return 'Bunts are by each batter’s season.';
  return 'Bunts are worked out from each batter’s speed and record and from who is on base.';
}

function averageOf(all: readonly StealChances[]): StealChances {
  const mean = (key: keyof StealChances) =>
    all.reduce((sum, chances) => sum + chances[key], 0) / all.length;
  return { second: mean('second'), third: mean('third'), double: mean('double') };
}
