/** Types of system.mjs, which is plain JavaScript because it runs before anything is installed. */
export function findChromium(): string | null;
