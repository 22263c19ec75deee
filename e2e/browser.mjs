/** The browser for scripts outside this workspace: pictures and measurements. */
export { chromium } from '@playwright/test';
