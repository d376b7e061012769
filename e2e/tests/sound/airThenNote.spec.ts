import { expect, inPhase, microphoneBeeping, STATES, test } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({ launchOptions: microphoneBeeping(), hears: SOUNDS.airAndNote, storageState: STATES.microphone });

test('air, the note out of it and air again pass as they are written, and the air belongs to the take', async ({
  page,
}) => {
  await page.goto('/stand/drill/airThenNote?tempoBpm=90');
  await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
  await expect(page.getByTestId('phrase-count')).toHaveText('2 of 5', { timeout: 40_000 });
  await page.goto('/takes');
  await page
    .getByRole('link', { name: /D 4, pp/ })
    .first()
    .click();
  await expect(page.getByTestId('headline')).toHaveText(
    /^Tone from [mpf]+ after \d\.\d s of air; no overtone spoke first/,
  );
  // The microphone heard the air that was written after the note: the take was still open.
  await expect(page.locator('tr[data-item="2"]')).toContainText('On target.');
});
