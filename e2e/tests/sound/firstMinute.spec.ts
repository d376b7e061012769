import { expect, firstVisit, inPhase, NOBODY, test } from '../../browser.ts';

test.use({ storageState: NOBODY });

test('from the first visit to a judged take within a minute', async ({ page }) => {
  const begun = Date.now();
  await firstVisit(page, 'simulated player');
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Let the simulated player play' }).click();
  await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
  await expect(page.getByText(/cents|dB/).first()).toBeVisible();
  const seconds = (Date.now() - begun) / 1000;
  console.log(`first judged take after ${seconds.toFixed(1)} s`);
  expect(seconds).toBeLessThan(60);
});
