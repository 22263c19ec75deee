/** Uniform numbers in [0, 1) that nobody can foresee: signs and codes are drawn by them. */
export function secureRandom(): number {
  const [high = 0, low = 0] = crypto.getRandomValues(new Uint32Array(2));
  return (high * 2 ** 21 + (low >>> 11)) / 2 ** 53;
}
