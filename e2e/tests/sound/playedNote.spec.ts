import { expect, inPhase, microphoneBeeping, STATES, test } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({ launchOptions: microphoneBeeping(), hears: SOUNDS.softAndLoud, storageState: STATES.microphone });

test('the note that is wanted is set by playing it, and the exercise is ready for it', async ({ page }) => {
  await page.goto('/stand/swell?note=67');
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Note: set by playing or singing the note' }).click();
  await expect(page.getByText('Play it', { exact: true })).toBeVisible();
  await expect(page).toHaveURL(/note=71/);
  // The second B4 begins the take, as if the note had been chosen by hand.
  await inPhase(page, 'playing').waitFor();
});
