import type { Misfit } from '@bradyon/contract/rule';

const TITLES: Record<number, string> = {
  400: 'Not understood',
  401: 'Sign in first',
  403: 'Not allowed',
  404: 'Not found',
  409: 'Already there',
  410: 'Gone',
  413: 'Too much at once',
  415: 'Not JSON',
  422: 'Does not fit',
  429: 'Too many tries',
  503: 'Back in a moment',
};

/** A refusal that the client is told about, as application/problem+json. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly detail: string,
    readonly errors: readonly Misfit[] = [],
    readonly retryAfterSeconds?: number,
    /** What is kept now, where the refusal is that it has changed meanwhile. */
    readonly current?: unknown,
  ) {
    super(detail);
  }

  get title(): string {
    return TITLES[this.status] ?? 'Refused';
  }
}

export function notFound(detail: string): Problem {
  return new Problem(404, detail);
}

/** Some fields do not fit; each says what to enter. */
export function misfits(errors: readonly Misfit[]): Problem {
  return new Problem(422, errors[0]?.message ?? 'Some fields do not fit.', errors);
}
