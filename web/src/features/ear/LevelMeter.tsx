import { useLoudness } from './loudness.ts';

/** The quietest that is shown, dB under the loudest a device can tell. */
const QUIETEST_DB = -90;

const share = (db: number): number => Math.min(1, Math.max(0, 1 - db / QUIETEST_DB));

/** How loud it is, and how loud a mitt has to be to be heard. */
export function LevelMeter() {
  const { loudness } = useLoudness();
  if (!loudness) return null;
  const { nowDb, noiseDb, neededDb, isLoud } = loudness;
  const needed = noiseDb + neededDb;
  const tooLoud = needed > -6;
  return (
    <span className="ear-level">
      <span
        className="ear-meter"
        role="meter"
        aria-label="Loudness"
        aria-valuemin={QUIETEST_DB}
        aria-valuemax={0}
        aria-valuenow={Math.round(Math.max(QUIETEST_DB, nowDb))}
        aria-valuetext={`${String(Math.round(neededDb))} decibels over the noise are needed`}
      >
        <span className="ear-noise" style={{ width: `${String(100 * share(noiseDb))}%` }} />
        <span className="ear-now" style={{ width: `${String(100 * share(nowDb))}%` }} />
        <span className="ear-needed" style={{ left: `${String(100 * share(needed))}%` }} />
      </span>
      <span className="ear-level-words">
        {tooLoud
          ? 'Too loud here to hear a mitt. Move closer, or tap.'
          : isLoud
            ? 'Loud right now. Sounds may be missed.'
            : 'A sound past the mark is heard.'}
      </span>
    </span>
  );
}
