import type { SignSystem } from '@bradyon/core/signs';
import { signWord, touchWord } from './words.ts';

/** The figures that touches stand for, and the numbers of each play. */
export function SeriesTable({ series }: { series: SignSystem }) {
  const { scheme } = series;
  if (scheme.kind !== 'card') return null;
  return (
    <>
      <p>
        {scheme.values.map(({ touch, value }) => `${touchWord(touch)} ${String(value)}`).join(', ')}
        .
      </p>
      <table className="series-table">
        <tbody>
          {series.plays.map(({ id }) => (
            <tr key={id}>
              <th scope="row">{signWord(id)}</th>
              <td className="figure">
                {scheme.codes
                  .filter(({ play }) => play === id)
                  .map(({ code }) => code)
                  .join(' or ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
