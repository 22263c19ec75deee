import {
  contextsOf,
  newSystem,
  PICKOFF_PLAYS,
  signGenerator,
  type SignBook,
  type SignSystem,
} from '@bradyon/core/signs';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { PickOne } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { DrillRunner } from './DrillRunner.tsx';
import { secureRandom } from '../../api/random.ts';
import { SeriesTable } from './SeriesTable.tsx';
import { SignPage } from './SignPage.tsx';
import { SignPlayer } from './SignPlayer.tsx';
import { useSaveSigns } from './useSigns.ts';
import { signWord } from './words.ts';

/** What the bench calls to the catcher: pickoffs and pitch-outs by figures. */
export function SeriesPage() {
  return <SignPage title="Pickoff series">{(book) => <Series book={book} />}</SignPage>;
}

const FIRST = ['throwFirst', 'daylight', 'pitchOut', 'slideStep', 'longHold'];
const MOST = 8;

function Series({ book: { series } }: { book: SignBook }) {
  const team = useTeam();
  const save = useSaveSigns(team.id);
  const [chosen, setChosen] = useState<readonly string[]>(
    () => series?.plays.map(({ id }) => id) ?? FIRST,
  );
  const issue = (): void => {
    const plays = PICKOFF_PLAYS.filter(({ id }) => chosen.includes(id));
    const fresh = newSystem('card', plays, secureRandom);
    const bench: SignSystem = {
      ...fresh,
      id: 'series',
      name: 'Pickoff series',
      indicator: { kind: 'none' },
    };
    save.mutate((before) => ({ ...before, series: bench }));
  };
  return (
    <div className="series">
      <section className="card-box" aria-label="Plays of the series">
        <h2>What the bench calls</h2>
        <ul className="series-plays">
          {PICKOFF_PLAYS.map(({ id }) => (
            <li key={id}>
              <Form.Check
                id={`series-${id}`}
                label={signWord(id)}
                checked={chosen.includes(id)}
                disabled={!chosen.includes(id) && chosen.length >= MOST}
                onChange={({ target }) => {
                  setChosen(
                    target.checked ? [...chosen, id] : chosen.filter((each) => each !== id),
                  );
                }}
              />
            </li>
          ))}
        </ul>
        <Button disabled={chosen.length === 0 || save.isPending} onClick={issue}>
          {series ? 'New numbers' : 'Make the series'}
        </Button>
        <p className="quiet">
          A step toward a base and a throw is a balk risk. Your league’s book and the umpire decide.
        </p>
      </section>
      {series && <Given series={series} />}
    </div>
  );
}

function Given({ series }: { series: SignSystem }) {
  const [play, setPlay] = useState<string>('');
  const [nth, setNth] = useState(0);
  const [isDrill, setDrill] = useState(false);
  const ready = useMemo(() => {
    const [context] = contextsOf(series);
    return context ? { context, generator: signGenerator(series, context) } : null;
  }, [series]);
  const shown = series.plays.some(({ id }) => id === play) ? play : (series.plays[0]?.id ?? '');
  const sequence = useMemo(
    () => ({ nth, touches: ready?.generator.make(shown, secureRandom) ?? null }),
    [ready, shown, nth],
  );
  if (!ready) return null;
  if (isDrill) {
    const plays = series.plays.map(({ id }) => id);
    const items = Array.from({ length: 12 }, (_, index) => {
      const means = index % 3 === 2 ? null : (plays[index % plays.length] ?? null);
      const touches = ready.generator.make(means, secureRandom) ?? [];
      return { touches, context: ready.context, means };
    });
    return (
      <section className="card-box drills-round" aria-label="Drill of the series">
        <SeriesDrill
          items={items}
          plays={plays}
          onEnd={() => {
            setDrill(false);
          }}
        />
      </section>
    );
  }
  return (
    <>
      <section className="card-box" aria-label="Numbers">
        <h2>Numbers</h2>
        <SeriesTable series={series} />
        <Button
          variant="outline-primary"
          onClick={() => {
            setDrill(true);
          }}
        >
          Drill it
        </Button>
      </section>
      <section className="card-box" aria-label="As the catcher sees it">
        <PickOne
          label="As the catcher sees it"
          value={shown}
          options={series.plays.map(({ id }) => ({ value: id, text: signWord(id) }))}
          onChange={setPlay}
        />
        {sequence.touches && (
          <SignPlayer
            key={sequence.touches.join(' ')}
            sequence={sequence.touches}
            system={series}
            context={ready.context}
            onAnother={() => {
              setNth(nth + 1);
            }}
          />
        )}
      </section>
    </>
  );
}

function SeriesDrill({
  items,
  plays,
  onEnd,
}: {
  items: Parameters<typeof DrillRunner>[0]['items'];
  plays: readonly string[];
  onEnd: () => void;
}) {
  // The round that was drawn stays, whatever is drawn around it.
  const [round] = useState(items);
  return (
    <>
      <DrillRunner
        items={round}
        plays={plays}
        who={() => ''}
        onAnswer={() => undefined}
        onDone={onEnd}
      />
      <Button variant="outline-primary" onClick={onEnd}>
        End the drill
      </Button>
    </>
  );
}
