import { SOUNDS } from '../../sounds.ts';
import { expect, inPhase, microphoneBeeping, STATES, test } from '../../browser.ts';

test.use({ launchOptions: microphoneBeeping(), hears: SOUNDS.pairedRound, storageState: STATES.microphone });

test('a round of paired swells runs hands-free from the microphone, and its result names the wrong note', async ({
  page,
}) => {
  await page.goto('/stand/drill/pairedSwells?note=67&to=67&tempoBpm=90&start=playToStart');
  await expect(page.getByTestId('note-next').getByLabel('G sharp 4')).toBeVisible();
  await expect(page.getByTestId('phrase-count')).toHaveText('1 of 2');
  // From here on nobody touches anything.
  await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
  await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
  await expect(page.getByTestId('headline')).toHaveText(/even\.$/);
  await expect(page.getByText(/Next in \d s/)).toBeVisible();
  await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
  await expect(page.getByTestId('phrase-count')).toHaveText('2 of 2');
  await expect(page.getByTestId('note-now').getByLabel(/^G (5|sharp 5)$/)).toBeVisible();
  await inPhase(page, 'resting').waitFor({ timeout: 90_000 });

  await page.getByRole('link', { name: 'See the round' }).click();
  await expect(page.getByTestId('headline')).toContainText('G sharp 5: B flat 5 was played in its place.');
  const rows = page.getByRole('link', { name: /Paired swells/ });
  await expect(rows).toHaveCount(2);
  await rows.nth(1).click();
  await expect(page.locator('tr[data-item="1"]')).toContainText('B flat 5 was played in its place.');
  await expect(page.getByTestId('take-ribbon')).toBeVisible();
});
