import { writeFileSync } from 'node:fs';
import path from 'node:path';

const FPS = 30;
const FRAMES = 120;
/** The picture is so many times 320 by 180. */
const SCALES = [1, 4];

/** How many frames of a clip are looked through in a second, decoding and all: from the tap to the first move found. */
export async function benchMotionInBrowser(browser, page, print) {
  const { makeClip } = await clipMaker();
  const origin = new URL(page.url()).origin;
  const clipRoom = page.url().replace(/(\/teams\/[^/]+)\/.*/, '$1/timing/clip');
  for (const scale of SCALES) {
    const buffer = await makeClip(browser, origin, {
      fps: FPS,
      frames: FRAMES,
      lights: [],
      movesFrom: 100,
      scale,
    });
    await page.goto(clipRoom);
    await page
      .getByLabel('Open a clip')
      .setInputFiles({ name: 'pitch.webm', mimeType: 'video/webm', buffer });
    const find = page.getByRole('button', { name: 'Find the first move' });
    await find.waitFor();
    const start = performance.now();
    await find.click();
    await page.getByText(/Moves first in frame|moves from a rest/).waitFor({ timeout: 120_000 });
    const seconds = (performance.now() - start) / 1000;
    print(`motion-in-browser-${320 * scale}x${180 * scale}`, FRAMES / seconds, 'frames/s');
  }
}

/** The stories' own maker of clips, as JavaScript. */
async function clipMaker() {
  const { build } = await import('vite');
  const root = path.resolve(import.meta.dirname, '..');
  const [{ output }] = [
    await build({
      configFile: false,
      logLevel: 'warn',
      build: { write: false, ssr: path.join(root, 'e2e/pages/clip.ts') },
    }),
  ].flat();
  // In the project, so that it finds the packages that it asks for.
  const file = path.join(root, 'test-results', 'clip.mjs');
  writeFileSync(file, output[0].code);
  return import(file);
}
