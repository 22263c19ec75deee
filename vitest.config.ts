import { defineConfig } from 'vitest/config';

/** Nothing depends on speed: what takes this long hangs. */
const PATIENCE_MS = 120_000;

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          root: 'core',
          include: ['src/**/*.test.ts'],
          testTimeout: PATIENCE_MS,
        },
      },
      {
        test: {
          name: 'contract',
          root: 'contract',
          include: ['src/**/*.test.ts'],
          testTimeout: PATIENCE_MS,
        },
      },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['{src,test}/**/*.test.ts'],
          globalSetup: 'test/cluster.setup.ts',
          testTimeout: PATIENCE_MS,
          hookTimeout: PATIENCE_MS,
          expect: { poll: { timeout: PATIENCE_MS } },
        },
      },
      {
        test: { name: 'web', root: 'web', include: ['src/**/*.test.ts'], testTimeout: PATIENCE_MS },
      },
    ],
  },
});
