import { text, type Rule } from './rule.ts';

/** A code that one person reads to another: eight letters and figures, like K7QD-93XM. */
export function codeRule(say: string): Rule<string> {
  return text(say, { max: 12, pattern: /^[\dA-Za-z]{4}[- ]?[\dA-Za-z]{4}$/ });
}
