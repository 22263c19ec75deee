import type { PlaySlips, SignSystem } from '@bradyon/core/signs';
import { useQuery } from '@tanstack/react-query';
import { percent } from '../../ui/index.ts';
import { inSignWorker } from './heavy.ts';
import { signWord } from './words.ts';

const SAMPLES = 250;
/** As much as this turned into a wrong play is marked. */
const BAD = 0.1;

/** What one missed touch turns each play into, the squeeze first. */
export function SlipsBox({ system, isSound }: { system: SignSystem; isSound: boolean }) {
  const { data, error } = useQuery({
    queryKey: ['sign-slips', system],
    queryFn: () => inSignWorker((heavy): Promise<PlaySlips[]> => heavy.slips(system, SAMPLES)),
    enabled: isSound,
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 60_000,
    networkMode: 'always',
    meta: { onlyHere: true },
  });
  return (
    <section className="card-box signs-slips" aria-label="One missed touch">
      <h2>One missed touch</h2>
      {error && <p>{error.message}</p>}
      {isSound && data && data.length > 0 && (
        <table>
          <thead>
            <tr>
              <th scope="col">Meant</th>
              <th scope="col">Still read</th>
              <th scope="col">Nothing</th>
              <th scope="col">Wrong play</th>
            </tr>
          </thead>
          <tbody>
            {data.map(({ meaning, missed }) => (
              <tr key={String(meaning)}>
                <th scope="row">{signWord(meaning)}</th>
                <td>{percent(missed.same)}</td>
                <td>{meaning === null ? '–' : percent(missed.nothing)}</td>
                <td className={missed.wrong >= BAD ? 'signs-wrong' : undefined}>
                  {percent(missed.wrong)}
                  {missed.wrong >= BAD && missed.becomes !== null && (
                    <small> {signWord(missed.becomes)}</small>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {isSound &&
        data
          ?.filter(({ isCritical, missed }) => isCritical && missed.wrong >= BAD)
          .map(({ meaning, missed }) => (
            <p key={String(meaning)} className="signs-wrong" role="alert">
              Miss one touch, and {signWord(meaning).toLowerCase()} becomes{' '}
              {signWord(missed.becomes).toLowerCase()}.{' '}
              {system.scheme.kind === 'count'
                ? 'Put an empty place on both sides of it.'
                : 'Move it to a touch that stands alone.'}
            </p>
          ))}
      {!isSound && <p className="quiet">Fix what is marked first.</p>}
    </section>
  );
}
