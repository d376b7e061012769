import { SOUNDS } from '../../sounds.ts';
import { expect, inPhase, microphonePlaying, STATES, test, trouble } from '../../browser.ts';

test.use({ launchOptions: microphonePlaying(SOUNDS.drone), storageState: STATES.standIn });

test('a drone that the microphone hears is told, and begins no take', async ({ page }) => {
  await page.goto('/stand/swell');
  await inPhase(page, 'armed').waitFor();
  await page.keyboard.press('4');
  await expect(page.getByRole('button', { name: /Drone: on/ })).toBeVisible();
  await page.goto('/case');
  await page.getByRole('radio', { name: 'microphone' }).click();
  await page.getByRole('radio', { name: 'microphone', checked: true }).waitFor();
  await page.goto('/stand/swell?note=67&start=playToStart');
  await inPhase(page, 'armed').waitFor();
  await expect(trouble(page, 'droneHeard')).toBeVisible({ timeout: 20_000 });
  // It sounds on the very note that would begin the take.
  await page.waitForTimeout(2000);
  await expect(inPhase(page, 'armed')).toBeVisible();
});
