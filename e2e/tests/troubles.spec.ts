import { expect, firstVisit, inPhase, microphonePlaying, test, trouble } from '../browser.ts';
import { SOUNDS } from '../sounds.ts';

test.use({ launchOptions: microphonePlaying(SOUNDS.faultySwell) });

for (const [name, code] of [
  ['NotAllowedError', 'micRefused'],
  ['NotFoundError', 'micAbsent'],
  ['NotReadableError', 'micBusy'],
] as const)
  test(`a microphone that fails with ${name} is named, and the stand-in is a way forward`, async ({
    page,
  }) => {
    await page.addInitScript((error) => {
      navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('', error));
    }, name);
    await firstVisit(page, 'microphone');
    await expect(trouble(page, code)).toBeVisible();
    await page.getByRole('button', { name: 'Use the stand-in player' }).click();
    await inPhase(page, 'armed').waitFor();
    await expect(trouble(page, code)).toHaveCount(0);
  });

for (const left of ['another', 'none'] as const)
  test(`a microphone unplugged in the middle of a take keeps what was played (${left} left)`, async ({
    page,
  }) => {
    await page.addInitScript((left) => {
      const open = navigator.mediaDevices.getUserMedia.bind(navigator.mediaDevices);
      let gone = false;
      navigator.mediaDevices.getUserMedia = async (wanted) => {
        if (gone && left === 'none') throw new DOMException('', 'NotFoundError');
        const stream = await open(wanted);
        Object.assign(window, {
          unplug() {
            gone = true;
            const [track] = stream.getAudioTracks();
            track.stop();
            track.dispatchEvent(new Event('ended'));
          },
          plugIn: () => (gone = false),
        });
        return stream;
      };
    }, left);
    const hand = (name: string) =>
      page.evaluate((name) => (window as unknown as Record<string, () => void>)[name](), name);
    await firstVisit(page, 'microphone');
    await inPhase(page, 'playing').waitFor();
    await page.waitForTimeout(2500);
    await hand('unplug');
    await expect(trouble(page, left === 'none' ? 'micUnplugged' : 'micChanged')).toBeVisible();
    await hand('plugIn');
    if (left === 'none') await page.getByRole('button', { name: 'Try again' }).click();
    // The fake microphone plays its swell anew for whoever opens it.
    await inPhase(page, 'playing').waitFor({ timeout: 20_000 });
    await page.goto('/takes');
    await expect(page.getByText(/[12] takes? kept/)).toBeVisible();
    await expect(page.getByText(/stopped at \d\.\d of 8\.0 s/).first()).toBeVisible();
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
  await firstVisit(page, 'microphone');
  await expect(trouble(page, 'lowRate')).toBeVisible();
  await expect(trouble(page, 'keptProcessing')).toBeVisible();
  await inPhase(page, 'playing').waitFor();
});

test('a tab hidden during a take is told afterwards, and the take goes on', async ({ page }) => {
  await firstVisit(page, 'microphone');
  await inPhase(page, 'playing').waitFor();
  await page.evaluate(() => {
    Object.defineProperty(document, 'hidden', { configurable: true, get: () => true });
    document.dispatchEvent(new Event('visibilitychange'));
  });
  // No sentence while the note sounds.
  await expect(trouble(page, 'hiddenTab')).toHaveCount(0);
  await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
  await expect(trouble(page, 'hiddenTab')).toBeVisible();
});

test('a device that comes or goes is told, and opening the microphone again goes on', async ({ page }) => {
  await firstVisit(page, 'microphone');
  await inPhase(page, 'armed').waitFor();
  await page.evaluate(() => navigator.mediaDevices.dispatchEvent(new Event('devicechange')));
  await expect(trouble(page, 'deviceChanged')).toBeVisible();
  await page.getByRole('button', { name: 'All right' }).click();
  await expect(trouble(page, 'deviceChanged')).toHaveCount(0);
});
