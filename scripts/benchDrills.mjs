/** What the drills want of a browser: cues when they are due, and a pitcher that moves without stumbling. */

const CUES = 40;
const LOOKS_MS = 8000;
const SLOWED = 4;

const at = (sorted, share) => sorted[Math.floor(sorted.length * share)];

/** @param browser started with sound allowed without a tap @param page signed in, on Time */
export async function benchDrillsInBrowser(browser, page, print) {
  await benchCues(await browser.newPage(), print);
  await benchPitcher(page, print);
}

/** The module that sounds, by itself: when each cue is heard against when it was due, their common lateness taken out. */
async function benchCues(page, print) {
  const { build } = await import('vite');
  const entry = new URL('../web/src/features/drills/sound.ts', import.meta.url).pathname;
  const [{ output }] = await build({
    configFile: false,
    logLevel: 'warn',
    build: { write: false, lib: { entry, formats: ['iife'], name: 'Sounds', fileName: 'sound' } },
  });
  await page.addScriptTag({ content: output[0].code });
  const off = await page.evaluate(async (count) => {
    const starts = [];
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (when) {
      starts.push({ context: this.context, when });
      return start.call(this, when);
    };
    const sound = globalThis.Sounds.openSound();
    const wait = (ms) => new Promise((done) => setTimeout(done, ms));
    await wait(500);
    const measured = [];
    for (let cue = 0; cue < count; cue += 1) {
      const dueMs = performance.now() + 150 + 7 * (cue % 11);
      sound.play('hop', dueMs);
      await wait(260 + 3 * (cue % 7));
      const { context, when } = starts.at(-1);
      const { contextTime, performanceTime } = context.getOutputTimestamp();
      measured.push(performanceTime + (when - contextTime) * 1000 - dueMs);
    }
    sound.close();
    const sorted = measured.toSorted((a, b) => a - b);
    const middle = sorted[Math.floor(count / 2)];
    return measured.map((each) => Math.abs(each - middle)).sort((a, b) => a - b);
  }, CUES);
  print('cue-jitter-p95', at(off, 0.95), 'ms');
  await page.close();
}

/** Frames of the drawn pitcher while reads are shown, the processor slowed. */
async function benchPitcher(page, print) {
  await page.bringToFront();
  await page.goto(page.url().replace(/(\/teams\/[^/]+)\/.*/, '$1/drills/reads'));
  await page.getByRole('button', { name: 'Start' }).waitFor();
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  await page.getByRole('button', { name: 'Start' }).click();
  const frames = await page.evaluate(async (forMs) => {
    const steps = [];
    const began = performance.now();
    let last = null;
    while (performance.now() - began < forMs) {
      const now = await new Promise((done) => requestAnimationFrame(done));
      const isShown = document.querySelector('[aria-label="The pitcher moves"]') !== null;
      if (last !== null && isShown) steps.push(now - last);
      last = now;
      // Answered, so that the next look comes.
      if (document.querySelector('.reads-words')?.textContent === 'Which was it?') {
        document
          .querySelector('.reads-answers button')
          .dispatchEvent(
            new PointerEvent('pointerdown', { bubbles: true, isPrimary: true, button: 0 }),
          );
      }
    }
    return steps.sort((a, b) => a - b);
  }, LOOKS_MS);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  print(`pitcher-frame-p50-cpu-${SLOWED}x`, at(frames, 0.5) ?? Number.NaN, 'ms');
  print(`pitcher-frame-p95-cpu-${SLOWED}x`, at(frames, 0.95) ?? Number.NaN, 'ms');
}
