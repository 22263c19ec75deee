import { defineConfig } from '@playwright/test';
import { findChromium } from '../scripts/system.mjs';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  globalSetup: './setup.ts',
  workers: 2,
  fullyParallel: true,
  timeout: 90_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: '../test-results/e2e.json' }]],
  use: {
    baseURL: process.env['BRADYON_URL'] ?? '',
    viewport: { width: 1280, height: 800 },
    // Dialogs are there at once: nobody's click meets one on its way.
    contextOptions: { reducedMotion: 'reduce' },
    screenshot: 'only-on-failure',
    // A kept page would hide the network from the stories; the one about that allows it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: findChromium() ?? '',
      // Chromium's own sandbox does not work for root, and nothing may call out.
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
    },
  },
});
