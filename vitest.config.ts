import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', root: 'core', include: ['src/**/*.test.ts'] } },
      { test: { name: 'contract', root: 'contract', include: ['src/**/*.test.ts'] } },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['{src,test}/**/*.test.ts'],
          globalSetup: 'test/cluster.setup.ts',
          testTimeout: 20_000,
          hookTimeout: 60_000,
        },
      },
      { test: { name: 'web', root: 'web', include: ['src/**/*.test.ts'] } },
    ],
  },
});
