import { contextsOf, signGenerator, type Meaning } from '@bradyon/core/signs';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { secureRandom } from '../../api/random.ts';
import { notify } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { HoldToSee } from './HoldToSee.tsx';
import './Signs.scss';
import { useSigns } from './useSigns.ts';
import { signWord } from './words.ts';

/**
 * The bench to the catcher, by the numbers of the series; nothing on is given the same way.
 * @param play of the series; null: nothing on
 */
export function GiveSeries({ play }: { play: Meaning }) {
  const team = useTeam();
  const { book } = useSigns(team.id, team.role !== 'guest');
  const series = book?.series ?? null;
  const generator = useMemo(() => {
    const [context] = series ? contextsOf(series) : [];
    return series && context ? signGenerator(series, context) : null;
  }, [series]);
  if (!book) return null;
  if (!generator) {
    return (
      <p className="quiet">
        <Link to={`/teams/${team.id}/signs/series`}>Make a pickoff series</Link> to send it to the
        catcher by numbers.
      </p>
    );
  }
  if (!generator.meanings.includes(play)) {
    return <p className="quiet">Your series has none for {signWord(play).toLowerCase()}.</p>;
  }
  return (
    <div className="give-head">
      <HoldToSee
        words={signWord(play)}
        make={() => {
          const numbers = generator.make(play, secureRandom);
          if (!numbers) notify('Make new numbers: these cannot be hidden.');
          return numbers;
        }}
      />
    </div>
  );
}
