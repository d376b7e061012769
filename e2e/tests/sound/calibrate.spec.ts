import { expect, microphonePlaying, STATES, test } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({ launchOptions: microphonePlaying(SOUNDS.softAndLoud), storageState: STATES.standIn });

test('calibration hears the room, the softest and the loudest B, and says when clicks are not heard', async ({
  page,
}) => {
  await page.goto('/case/calibrate');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Hold B as soft as it speaks.' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Now B as loud as you play.' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Now eight clicks.' })).toBeVisible();
  await expect(page.getByText('The clicks were not heard.')).toBeVisible();
  await page.getByRole('button', { name: 'Skip this step' }).click();
  await expect(page.getByText('Softest and loudest: −44 dBFS and −18 dBFS.')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/Calibrated on/)).toBeVisible();
});
