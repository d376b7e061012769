import { expect, inPhase, playOut, test, visit } from '../../browser.ts';

test('matching a note: two fingerings of one pitch side by side, and unnamed', async ({ page }) => {
  await visit(page, '/ladder/match');
  await page.getByRole('link', { name: 'Match two fingerings' }).click();
  await inPhase(page, 'armed').waitFor();
  await visit(page, '/stand/drill/overtoneMatch?beats=2&tries=1&tempoBpm=100');
  await playOut(page);
  await visit(page, '/ladder/match');
  await expect(page.getByTestId('match-figures')).toContainText(/Colour difference \d\.\d dB/);
  await expect(
    page.getByRole('img', { name: /regular to the left, fingered B flat 3 to the right/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Play one of them without its name' }).click();
  await expect(page.getByText('Which was it?')).toBeVisible();
  await page.getByRole('button', { name: 'regular', exact: true }).click();
  await expect(page.getByText(/^(Right|It was the other): /)).toBeVisible();
});

test('a scale through routes: written in two lines, played, judged by what is fingered', async ({ page }) => {
  await visit(page, '/ladder/routes');
  await page.getByLabel('Line', { exact: true }).selectOption('D');
  await page.getByRole('radio', { name: 'plain, then a fifth higher' }).click();
  await expect(page.getByTestId('route-step').first()).toContainText('regular');
  await expect(page.getByTestId('route-step').last()).toContainText('×3');
  await page.getByRole('radio', { name: 'a fifth higher', exact: true }).click();
  await expect(page.getByTestId('route-step').first()).toContainText('×3');
  await expect(page.locator('.engraving svg').first()).toContainText('D5');
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(page).toHaveURL(/stand\/own/);
  await inPhase(page, 'armed').waitFor();
  await expect(page.getByTestId('fingered')).toContainText('fingered D 5');
  await page.getByRole('button', { name: 'Let the simulated player play' }).click();
  await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
  await expect(page.getByTestId('headline')).toHaveText(/^\d+ notes, /);
  await visit(page, '/shelf?shown=own');
  await expect(page.getByRole('link', { name: 'D major, a fifth higher', exact: true })).toBeVisible();
});
