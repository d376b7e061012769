import { SOUNDS } from '../sounds.ts';
import { expect, firstVisit, inPhase, microphonePlaying, test } from '../browser.ts';

test.use({ launchOptions: microphonePlaying(SOUNDS.climb) });

test.beforeEach(({ page }) => firstVisit(page, 'stand-in player'));

test('climbing the series with a jump: the microphone hears which partial, and the Ladder keeps it', async ({
  page,
}) => {
  await page.goto('/case');
  await page.getByRole('button', { name: 'microphone' }).click();
  await page.goto('/ladder');
  await expect(page.getByRole('button', { name: /B flat 3, partial 3.*not tried yet/ })).toBeVisible();
  await page.goto('/stand/drill/overtoneClimb?partial=3&tries=1');
  await inPhase(page, 'playing').waitFor({ timeout: 20_000 });
  await expect(page.getByTestId('fingered')).toContainText('fingered B flat 3', { timeout: 10_000 });
  await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
  await expect(
    page.getByText(/4 of 5 as written\. F 5: The note slipped to partial 4 after 0\.[6-9] s\./),
  ).toBeVisible();
  await page.goto('/ladder');
  await expect(
    page.getByRole('button', { name: /B flat 3, partial 2, sounds B flat 4: shaky; spoke 2 of 2/ }),
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

test('matching a note: two fingerings of one pitch side by side, and unnamed', async ({ page }) => {
  await page.goto('/ladder/match');
  await page.getByRole('link', { name: 'Match two fingerings' }).click();
  await inPhase(page, 'armed').waitFor();
  await page.goto('/stand/drill/overtoneMatch?beats=2&tries=1&tempoBpm=100');
  await inPhase(page, 'armed').waitFor();
  await page.keyboard.press('Space');
  await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
  await page.goto('/ladder/match');
  await expect(page.getByTestId('match-figures')).toContainText(/Colour \d\.\d dB apart/);
  await expect(
    page.getByRole('img', { name: /regular to the left, fingered B flat 3 to the right/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Listen to one of them, unnamed' }).click();
  await expect(page.getByText('Which was it?')).toBeVisible();
  await page.getByRole('button', { name: 'regular', exact: true }).click();
  await expect(page.getByText(/^(Right|It was the other): /)).toBeVisible();
});

test('a scale through routes: written in two lines, played, judged by what is fingered', async ({ page }) => {
  await page.goto('/ladder/routes');
  await page.getByLabel('Line', { exact: true }).selectOption('D');
  await page.getByRole('button', { name: 'a fifth higher' }).click();
  await expect(page.getByTestId('route-step').first()).toContainText('×3');
  await expect(page.locator('.engraving svg').first()).toContainText('D5');
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(page).toHaveURL(/stand\/own/);
  await inPhase(page, 'armed').waitFor();
  for (let i = 0; i < 20; i++) await page.getByRole('button', { name: 'Faster' }).click();
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Let the stand-in play' }).click();
  await inPhase(page, 'playing').waitFor({ timeout: 20_000 });
  await expect(page.getByTestId('fingered')).toContainText('fingered D 5');
  await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
  await expect(page.getByText(/\d+ of \d+ as written\./)).toBeVisible();
  await page.goto('/shelf?shown=own');
  await expect(page.getByRole('link', { name: 'D major, a fifth higher', exact: true })).toBeVisible();
});
