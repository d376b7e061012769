import { expect, inPhase, microphoneBeeping, STATES, test } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({ launchOptions: microphoneBeeping(), hears: SOUNDS.loudDescent, storageState: STATES.microphone });

test('a quiet descent that is played loud to its end is told so, of its lowest notes', async ({ page }) => {
  await page.goto('/stand/drill/quietDescent?tempoBpm=120&start=playToStart');
  await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
  await expect(page.getByTestId('headline')).toContainText('dB louder than written for this phrase', {
    timeout: 60_000,
  });
  await page.goto('/takes');
  await page
    .getByRole('link', { name: /quiet descent/i })
    .first()
    .click();
  await expect(page.locator('tr[data-item="3"]')).toContainText(/1\d\.\d dB louder than written/);
});
