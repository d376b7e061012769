import { expect, inPhase, microphoneBeeping, STATES, test } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({ launchOptions: microphoneBeeping(), hears: SOUNDS.climb, storageState: STATES.microphone });

test('climbing the series with a jump: the microphone hears which partial, and the Ladder keeps it', async ({
  page,
}) => {
  await page.goto('/ladder');
  await expect(page.getByRole('button', { name: /B flat 3, partial 3.*not tried yet/ })).toBeVisible();
  await page.goto('/stand/drill/overtoneClimb?partial=3&tries=1');
  await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
  await expect(page.getByTestId('fingered')).toContainText('fingered B flat 3', { timeout: 10_000 });
  await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
  await expect(
    page.getByText(
      /Climbed seamlessly 3 of 4.* F 5 over B flat 3: The note slipped to partial 4 after 0\.[6-9] s\./,
    ),
  ).toBeVisible();
  await page.goto('/ladder');
  await expect(
    page.getByRole('button', { name: /B flat 3, partial 2, sounds B flat 4: unreliable; spoke 2 of 2/ }),
  ).toBeVisible();
  // Up from the fundamental by keys, to the note and all its ways.
  await page.getByRole('button', { name: /^B flat 3, partial 2/ }).click();
  await page.keyboard.press('ArrowUp');
  await expect(
    page.getByRole('button', { name: /^B flat 3, partial 3.*spoke 1 of 1/, pressed: true }),
  ).toBeFocused();
  await expect(page.getByRole('heading', { name: 'F 5 by 3 fingerings' })).toBeVisible();
  await page.getByRole('link', { name: 'Hear it, hum it, play it' }).click();
  await expect(page).toHaveURL(/overtoneEar/);
});
