/** The bases in the order a runner meets them. */
export const BASES = ['first', 'second', 'third', 'home'] as const;
export type Base = (typeof BASES)[number];

/** The bases a catcher throws to when a runner goes. */
export const TARGET_BASES = ['second', 'third'] as const satisfies readonly Base[];
export type TargetBase = (typeof TARGET_BASES)[number];
