import { alignmentOf, ONE_ANSWER_RUNS, type AlignmentName } from '@bradyon/core/bunts';
import { tableOf } from '@bradyon/core/innings';
import type { Person } from '@bradyon/core/people';
import { useQueries } from '@tanstack/react-query';
import { Failure, Sheet } from '../../ui/index.ts';
import { onText, situationWords, valueOf } from '../innings/index.ts';
import { personLabel } from '../people/index.ts';
import { BuntPage } from './BuntPage.tsx';
import type { AskedBunt, CardCell } from './bunts.worker.ts';
import { inBuntWorker } from './heavy.ts';
import { KEPT, type BuntInView } from './useBunt.ts';
import { ALIGNMENT_TEXT, paceText, rollText, SURFACE_TEXT } from './words.ts';

/** Where the runners are, and the defenses that are played against it. */
const BLOCKS: readonly { bases: number; alignments: AlignmentName[] }[] = [
  { bases: 1, alignments: ['holding', 'in', 'crashFirst', 'crashBoth'] },
  { bases: 2, alignments: ['normal', 'in', 'crashBoth', 'deep'] },
  { bases: 3, alignments: ['in', 'crashFirst', 'wheel', 'deep'] },
];

/** Where each batter bunts against each defense, on paper. */
export function CardPage() {
  return (
    <BuntPage title="Bunt card" plays={false}>
      {(view) => <Card view={view} />}
    </BuntPage>
  );
}

function Card({ view }: { view: BuntInView }) {
  const { odds, situation, team } = view;
  const batters: (Person | undefined)[] =
    odds.order.length > 0 ? odds.order.map(({ person }) => person) : [undefined];
  const found = useQueries({
    queries: batters.map((_, spot) => {
      const asked = BLOCKS.flatMap(({ bases, alignments }) =>
        alignments.map((name) => askedOf(view, spot, bases, name)),
      );
      return {
        queryKey: ['bunt card', JSON.stringify(asked)],
        queryFn: () => inBuntWorker((heavy) => heavy.card(asked)),
        ...KEPT,
      };
    }),
  });
  const failed = found.find(({ error }) => error);
  if (failed?.error) return <Failure error={failed.error} retry={() => void failed.refetch()} />;
  const done = found.filter(({ data }) => data).length;
  if (done < found.length) {
    return (
      <div className="card-box" role="status">
        <p>Working out each batter...</p>
        <progress value={done} max={found.length} aria-label="Batters done" />
      </div>
    );
  }
  return (
    <Sheet title="Bunt card">
      {() => (
        <>
          <h2>{team.name}: bunt card</h2>
          <p>
            {situationWords({ ...situation, bases: 1, outs: 0 }).replace(
              'runner on first, nobody out, ',
              'Nobody out, ',
            )}
            . {SURFACE_TEXT[view.surface]}. First strike.
          </p>
          {BLOCKS.map(({ bases, alignments }, block) => (
            <section key={bases} className="bunt-card-block">
              <h3>{capital(onText(bases))}</h3>
              <table className="bunt-card-table">
                <thead>
                  <tr>
                    <th scope="col">Batter</th>
                    {alignments.map((name) => (
                      <th key={name} scope="col">
                        {ALIGNMENT_TEXT[name]}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {batters.map((person, spot) => (
                    <tr key={person?.id ?? 'typical'}>
                      <th scope="row">{person ? personLabel(person) : 'Typical batter'}</th>
                      {alignments.map((name, index) => (
                        <td key={name}>
                          {cellText(
                            found[spot]?.data?.[block * alignments.length + index],
                            team.ruleset.sport,
                          )}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </section>
          ))}
          <p>
            Third, first, middle: the side. ● is better than swinging. The others are the best bunt,
            but swinging is as good or better. Fingers behind the barrel; the league&rsquo;s book
            decides.
          </p>
        </>
      )}
    </Sheet>
  );
}

function askedOf(view: BuntInView, spot: number, bases: number, name: AlignmentName): AskedBunt {
  const { odds, team, asked } = view;
  const situation = { ...view.situation, spot, bases, outs: 0 };
  return {
    ...asked,
    play: 'sacrifice',
    skill: view.skillFor(odds.order[spot]?.person.id, 'sacrifice'),
    bases,
    outs: 0,
    strikes: 0,
    alignment: alignmentOf(name, team.ruleset),
    batter: view.gaitOf(odds.order[spot]?.person),
    runners: view.runnersOn(spot, bases),
    values: tableOf(valueOf(odds.game, situation)),
  };
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function cellText(cell: CardCell | undefined, sport: 'baseball' | 'softball') {
  if (!cell) return '';
  const side = cell.degrees > 56 ? 'Third' : cell.degrees < 34 ? 'First' : 'Middle';
  const text = `${side}, ${paceText(cell.rollFeet, sport)}, ${rollText(cell.rollFeet)}`;
  return cell.gain > ONE_ANSWER_RUNS * cell.run ? `● ${text}` : text;
}
