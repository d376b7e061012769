import { chromium, expect, firstVisit, inPhase, test } from '../browser.ts';

test.use({ launchOptions: chromium() });

test('a day’s sheet: minutes, a line put aside and one kept, played hands-free from line to line, and its account', async ({
  page,
}) => {
  await firstVisit(page, 'stand-in player');
  await page.getByRole('link', { name: 'leave' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  const lines = page.getByTestId('sheet').getByRole('listitem');
  await expect(lines.first()).toContainText('Air, then note');
  await expect(lines.last()).toContainText('Play what you like');
  const ten = await lines.count();
  await page.getByRole('button', { name: '5', exact: true }).click();
  await expect.poll(() => lines.count()).toBeLessThan(ten);
  const third = lines.nth(2);
  const name = await third.getAttribute('data-line');
  await third.getByRole('button', { name: 'Not today' }).click();
  await expect(page.locator(`[data-line="${name}"]`)).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring back what was put aside' }).click();
  await expect(page.locator(`[data-line="${name}"]`)).toHaveCount(1);
  await page.locator(`[data-line="${name}"]`).getByRole('button', { name: 'Keep it' }).click();
  await page.getByLabel('What for').selectOption('overtones first');
  await expect(page.locator(`[data-line="${name}"]`)).toHaveCount(1);

  // The easy middle note; then, after a rest, the line after it, without a hand.
  await lines
    .nth(1)
    .getByRole('link', { name: /^Play: Long hold/ })
    .click();
  await expect(page).toHaveURL(/longHold.*sheet=opening/);
  await inPhase(page, 'armed').waitFor();
  await page.keyboard.press('Space');
  await inPhase(page, 'ended').waitFor({ timeout: 40_000 });
  await expect(page.getByTestId('sheet-next')).toContainText('Next: ');
  await expect(page).not.toHaveURL(/longHold.*sheet=opening/, { timeout: 20_000 });
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('link', { name: 'leave' }).click();
  await expect(page).toHaveURL(/\/today$/);
  await expect(page.getByTestId('account')).toHaveText(
    /^1 of \d+ lines, \d of 5 minutes\. 1 of 1 notes as written\.$/,
  );
  await expect(lines.nth(1)).toContainText('done');
  // Another visit goes on where this one stopped.
  await page.reload();
  await expect(lines.nth(1)).toContainText('done');
  await expect(page.getByRole('link', { name: 'Carry on' })).toHaveAttribute('href', /airThenNote/);
  await page.getByRole('button', { name: 'Plan the rest anew' }).click();
  await expect(page.locator('[data-line="opening/longHold"]')).toContainText('done');
});
