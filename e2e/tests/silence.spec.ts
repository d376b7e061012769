import { expect, firstVisit, microphonePlaying, test } from '../browser.ts';
import { SOUNDS } from '../sounds.ts';

test.use({ launchOptions: microphonePlaying(SOUNDS.silence) });

test('a microphone from which nothing arrives is told', async ({ page }) => {
  await firstVisit(page, 'microphone');
  await expect(page.locator('[data-trouble="silence"]')).toBeVisible();
});
