/**
 * Seconds as a coach types them: 1.41, 1,41, .95, or without the point 141 and 95. One digit alone
 * counts whole seconds, as a hold is counted.
 * @returns null when it is no time
 * @example typedSeconds('141') // 1.41
 */
export function typedSeconds(text: string): number | null {
  const plain = text
    .trim()
    .replace(',', '.')
    .replace(/\s*s(ec)?\.?$/i, '');
  if (/^-?\d$/.test(plain)) return Number(plain);
  if (/^-?\d{2,4}$/.test(plain)) return Number(plain) / 100;
  return /^-?(\d{1,2}\.\d{0,3}|\.\d{1,3})$/.test(plain) ? Number(plain) : null;
}
