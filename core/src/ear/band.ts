/** What mitts, gloves and bats have that crowds and wind mostly have not: this band, Hz. Agreed. */
const LOW_HZ = 1200;
const HIGH_HZ = 8000;
/** Neither stage rings. */
const Q = Math.SQRT1_2;

/** Takes one sample after the other; it remembers the last two. */
type Filter = (sample: number) => number;

function biquad(b: readonly [number, number, number], a: readonly [number, number]): Filter {
  let [x1, x2, y1, y2] = [0, 0, 0, 0];
  return (x) => {
    const y = b[0] * x + b[1] * x1 + b[2] * x2 - a[0] * y1 - a[1] * y2;
    x2 = x1;
    x1 = x;
    y2 = y1;
    y1 = y;
    return y;
  };
}

/** The usual second-order sections, from the analogue ones by the bilinear transform. */
function section(kind: 'high' | 'low', hz: number, sampleRate: number): Filter {
  const w = (2 * Math.PI * hz) / sampleRate;
  const [cos, alpha] = [Math.cos(w), Math.sin(w) / (2 * Q)];
  const a0 = 1 + alpha;
  const edge = (kind === 'high' ? 1 + cos : 1 - cos) / a0;
  return biquad(
    [edge / 2, kind === 'high' ? -edge : edge, edge / 2],
    [(-2 * cos) / a0, (1 - alpha) / a0],
  );
}

/**
 * Lets through what mitts, gloves and bats sound like: 1.2 to 8 kHz.
 * @param sampleRate samples a second, 16,000 or more
 * @throws RangeError for fewer, which do not hold the band
 */
export function makeBand(sampleRate: number): Filter {
  if (!(sampleRate >= 16_000)) throw new RangeError('makeBand needs 16,000 samples a second');
  const high = section('high', LOW_HZ, sampleRate);
  // Half the sampling rate is as high as sound goes.
  const low = section('low', Math.min(HIGH_HZ, 0.45 * sampleRate), sampleRate);
  return (sample) => low(high(sample));
}
