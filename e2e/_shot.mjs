import { chromium } from './browser.mjs';
// args: device team path out [full]
const [device, teamIndex, path, out, full, theme] = process.argv.slice(2);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const opts =
  device === 'phone'
    ? { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
    : { viewport: { width: 1280, height: 800 } };
const ctx = await browser.newContext({
  baseURL: 'http://localhost:4690',
  reducedMotion: 'reduce',
  serviceWorkers: 'block',
  colorScheme: theme ?? 'light',
  ...opts,
});
const page = await ctx.newPage();
page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
page.on('console', (m) => {
  if (m.type() === 'error') console.log('CONSOLE', m.text());
});
await page.goto('/sign-in');
await page.getByRole('button', { name: /demo/i }).click();
await page.waitForURL(/teams/);
const teams = await (await page.request.get('/api/teams')).json();
await page.goto(`/teams/${teams[Number(teamIndex)].id}/${path}`);
await page.waitForTimeout(1500);
const script = process.env.DO;
if (script) await new Function('page', `return (async()=>{${script}})()`)(page);
if (out.endsWith('.pdf')) await page.pdf({ path: out, preferCSSPageSize: true });
else await page.screenshot({ path: out, fullPage: full === 'full' });
const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
if (wide > 0) console.log('WIDER by', wide);
await browser.close();
