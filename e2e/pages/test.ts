import { test as base, expect } from '@playwright/test';

/** A story fails when the page complains, whatever else it shows. `allowed` names complaints that the story provokes. */
export const test = base.extend<{ allowed: RegExp[]; complaints: undefined }>({
  allowed: [[], { option: true }],
  complaints: [
    async ({ page, allowed }, use) => {
      const heard: string[] = [];
      // Playwright itself says that it blocks the service worker.
      const known = [...allowed, /Service Worker registration blocked/];
      page.on('console', (message) => {
        if (['error', 'warning'].includes(message.type())) heard.push(message.text());
      });
      page.on('pageerror', (error) => heard.push(error.message));
      await use(undefined);
      const unexpected = heard.filter((text) => !known.some((pattern) => pattern.test(text)));
      expect(unexpected, 'the page complained').toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };
