/** A season's charts, from the data in the browser to the picture: the tab is opened again with everything fetched. */

const ROUNDS = 7;

/** @param page signed in, on Time */
export async function benchReviewInBrowser(page, print) {
  await page.goto(page.url().replace(/(\/teams\/[^/]+)\/.*/, '$1/games/season'));
  const tabs = page.getByRole('navigation', { name: 'Game' });
  await page.locator('main canvas').first().waitFor();
  const took = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    await tabs.getByRole('link', { name: 'Reminders' }).click();
    await page.getByRole('heading', { level: 1, name: 'Reminders' }).waitFor();
    took.push(
      await page.evaluate(async () => {
        const link = [...document.querySelectorAll('nav a')].find(
          ({ textContent }) => textContent === 'Season',
        );
        const began = performance.now();
        link.click();
        for (;;) {
          await new Promise((done) => requestAnimationFrame(done));
          if (document.querySelector('main canvas')) break;
        }
        // Painted, not only made.
        await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
        return performance.now() - began;
      }),
    );
  }
  print('season-charts-painted', took.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)], 'ms');
}
