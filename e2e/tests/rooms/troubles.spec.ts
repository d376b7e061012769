import {
  beginSounding,
  expect,
  inPhase,
  microphoneBeeping,
  playOut,
  STATES,
  test,
  trouble,
  visit,
} from '../../browser.ts';
import { putRows } from '../../storedRows.ts';

test.use({ launchOptions: microphoneBeeping(), storageState: STATES.microphone });

for (const [name, code] of [
  ['NotAllowedError', 'micRefused'],
  ['NotFoundError', 'micAbsent'],
  ['NotReadableError', 'micBusy'],
] as const)
  test(`a microphone that fails with ${name} is named, and the simulated player is a way forward`, async ({
    page,
  }) => {
    await page.addInitScript((error) => {
      navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('', error));
    }, name);
    await page.goto('/stand/swell');
    await expect(trouble(page, code)).toBeVisible();
    await page.getByRole('button', { name: 'Use the simulated player' }).click();
    await inPhase(page, 'armed').waitFor();
    await expect(trouble(page, code)).toHaveCount(0);
  });

test('a headset microphone and processing that the browser kept are told, and do not stop the player', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const read = MediaStreamTrack.prototype.getSettings;
    MediaStreamTrack.prototype.getSettings = function () {
      return { ...read.call(this), sampleRate: 16000, noiseSuppression: true };
    };
  });
  await page.goto('/stand/swell');
  await expect(trouble(page, 'lowRate')).toBeVisible();
  await expect(trouble(page, 'keptProcessing')).toBeVisible();
  await inPhase(page, 'armed').waitFor();
});

test('a device that comes or goes is told, and opening the microphone again goes on', async ({ page }) => {
  await page.goto('/stand/swell');
  await inPhase(page, 'armed').waitFor();
  await page.evaluate(() => navigator.mediaDevices.dispatchEvent(new Event('devicechange')));
  await expect(trouble(page, 'deviceChanged')).toBeVisible();
  await trouble(page, 'deviceChanged').getByRole('button', { name: 'OK' }).click();
  await expect(trouble(page, 'deviceChanged')).toHaveCount(0);
});

test.describe('while it plays', () => {
  test.use({ storageState: STATES.standIn });

  test('a tab hidden during a take is told afterwards, and the take goes on', async ({ page }) => {
    await page.goto('/stand/swell?beats=4');
    await beginSounding(page);
    await page.evaluate(() => {
      Object.defineProperty(document, 'hidden', { configurable: true, get: () => true });
      document.dispatchEvent(new Event('visibilitychange'));
    });
    // No sentence while the note sounds.
    await expect(trouble(page, 'hiddenTab')).toHaveCount(0);
    await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
    await expect(trouble(page, 'hiddenTab')).toBeVisible();
  });
});

test('a room whose code cannot be fetched says so, once, and opens when it can', async ({ page }) => {
  let loads = 0;
  page.on('load', () => loads++);
  await page.goto('/takes');
  await page.route('**/LogbookRoom-*.js', (route) => route.abort());
  await page.getByRole('link', { name: 'Logbook' }).click();
  await expect(page.getByText('The room could not be loaded.', { exact: false })).toBeVisible();
  await page.waitForTimeout(500);
  expect(loads).toBe(1);
  await page.unroute('**/LogbookRoom-*.js');
  await page.getByRole('button', { name: 'Reload' }).click();
  await expect(page.getByRole('button', { name: 'Month before' })).toBeVisible();
});

test.describe('a clock that was set back', () => {
  test.use({ storageState: STATES.quick });

  test('is told once; what was played before and after is there, each on its own day, in every list', async ({
    page,
  }) => {
    await page.goto('/stand/swell?beats=2');
    await playOut(page);
    // Two days ahead: as it looks when the clock went back two days since.
    const ahead = new Date(Date.now() + 2 * 86_400_000);
    const day = [ahead.getFullYear(), ahead.getMonth() + 1, ahead.getDate()]
      .map((part) => String(part).padStart(2, '0'))
      .join('-');
    await putRows(page, 'takes', { day, startedAt: ahead.getTime() });
    await page.goto('/stand/swell?beats=3');
    await expect(trouble(page, 'clockBack')).toBeVisible();
    await trouble(page, 'clockBack').getByRole('button', { name: 'OK' }).click();
    await playOut(page);
    // What was played last is what the Stand answers, though another take bears a later date.
    await expect(page.getByTestId('headline')).toBeVisible();
    await visit(page, '/takes');
    await expect(page.locator('a[href*="/takes/"]')).toHaveCount(2);
    for (const room of [
      '/today',
      '/map?note=67',
      '/logbook',
      `/logbook/${day}`,
      '/logbook/trends',
      '/shelf',
    ]) {
      await visit(page, room);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    }
  });
});
