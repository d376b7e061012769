import { expect, microphonePlaying, STATES, test } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({ launchOptions: microphonePlaying(SOUNDS.silence), storageState: STATES.microphone });

test('a microphone from which nothing arrives is told', async ({ page }) => {
  await page.goto('/stand/swell');
  await expect(page.locator('[data-trouble="silence"]')).toBeVisible();
});
