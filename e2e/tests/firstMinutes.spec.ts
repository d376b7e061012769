import { chromium, expect, firstVisit, inPhase, test } from '../browser.ts';

test.use({ launchOptions: chromium() });

test('from the first visit to a judged take within a minute', async ({ page }) => {
  const begun = Date.now();
  await firstVisit(page, 'stand-in player');
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Let the stand-in play' }).click();
  await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
  await expect(page.getByText(/cents|dB/).first()).toBeVisible();
  const seconds = (Date.now() - begun) / 1000;
  console.log(`first judged take after ${seconds.toFixed(1)} s`);
  expect(seconds).toBeLessThan(60);
});

test('the round that teaches the ribbon: six words by one key, again from the Case, skipped at will', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'or first learn to read the ribbon' }).click();
  const stage = page.locator('[data-lesson]');
  for (const word of ['fat', 'thin', 'sharp', 'flat', 'airy', 'torn']) {
    await expect(stage).toHaveAttribute('data-lesson', word);
    await expect(page.getByRole('button', { name: `Make it ${word}` })).toBeVisible();
    await page.keyboard.press('PageDown');
    await expect(stage).toHaveAttribute('data-phase', 'heard');
    await page.keyboard.press('PageDown');
  }
  // Then the three questions, which were not answered yet.
  await firstVisit(page, 'stand-in player');
  await page.goto('/case');
  await page.getByRole('link', { name: 'Learn to read the ribbon' }).click();
  await page.getByRole('button', { name: 'sharp', exact: true }).click();
  await expect(page).toHaveURL(/word=sharp/);
  await page.getByRole('button', { name: 'Skip' }).click();
  await expect(page).toHaveURL(/stand\/swell/);
});
