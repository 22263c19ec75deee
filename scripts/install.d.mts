/** Types of install.mjs, which is plain JavaScript because it runs before anything is installed. */
export function ensureBuilt(parts?: readonly ('server' | 'web')[]): void;
