import { expect, inPhase, microphonePlaying, STATES, test, trouble } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({ launchOptions: microphonePlaying(SOUNDS.faultySwell), storageState: STATES.microphone });

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
    await page.goto('/stand/swell');
    await inPhase(page, 'playing').waitFor();
    await page.waitForTimeout(2000);
    await hand('unplug');
    await expect(trouble(page, left === 'none' ? 'micUnplugged' : 'micChanged')).toBeVisible();
    await hand('plugIn');
    if (left === 'none') await page.getByRole('button', { name: 'Try again' }).click();
    // The fake microphone plays its swell anew for whoever opens it.
    await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
    await page.goto('/takes');
    await expect(page.getByText(/[12] takes? kept/)).toBeVisible();
    await expect(page.getByText(/stopped at \d\.\d of 8\.0 s/).first()).toBeVisible();
  });
