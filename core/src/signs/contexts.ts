import type { SignContext, SignSystem } from './system.ts';

/**
 * Every context in which a system may read differently: innings of its cycle, outs and bases only where it
 * asks for them.
 */
export function contextsOf({ indicator, situational }: SignSystem): SignContext[] {
  const innings = indicator.kind === 'byInning' ? indicator.touches.length : 1;
  const asksBases = situational.some(
    ({ when: { first, second, third } }) => (first ?? second ?? third) !== undefined,
  );
  const asksOuts =
    indicator.kind === 'byOuts' || situational.some(({ when }) => when.outs !== undefined);
  const upTo = (count: number): number[] => Array.from({ length: count }, (_, index) => index);
  return upTo(innings).flatMap((inning) =>
    upTo(asksOuts ? 3 : 1).flatMap((outs) =>
      upTo(asksBases ? 8 : 1).map((bases) => ({ inning: inning + 1, outs, bases })),
    ),
  );
}
