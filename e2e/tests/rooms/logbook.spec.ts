import { stat } from 'node:fs/promises';
import { expect, playOut, demoTest as test, visit } from '../../browser.ts';

/** So many days ago the demo's horn was repaired: one month back or two, by the day on which it is opened. */
const REPAIRED_DAYS_AGO = 50;
const monthOf = (date: Date) => 12 * date.getFullYear() + date.getMonth();

test('twelve weeks: what a reed change did to the low notes, and a new reed that is counted by itself', async ({
  page,
}) => {
  await visit(page, '/logbook');
  await expect(page.getByTestId('ink').getByText('low notes')).toBeVisible({ timeout: 60_000 });
  const repaired = new Date();
  repaired.setDate(repaired.getDate() - REPAIRED_DAYS_AGO);
  // As quickly as one likes: each press goes back another month, whatever is drawn already.
  const back = monthOf(new Date()) - monthOf(repaired);
  await page.getByRole('button', { name: 'Month before' }).evaluate((button: HTMLElement, presses) => {
    for (let press = 0; press < presses; press++) button.click();
  }, back);
  const month = String(repaired.getMonth() + 1).padStart(2, '0');
  await expect(page).toHaveURL(new RegExp(`month=${repaired.getFullYear()}-${month}`));
  await expect(page.getByText(/repair: G sharp pad/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Trends' }).click();
  await page.getByLabel('Figure').selectOption('Response');
  await page.getByLabel('Where').selectOption('the low notes');
  await expect(page).toHaveURL(/measure=responseMs.*zone=low/);
  const changes = page.getByTestId('changes').getByRole('listitem');
  const reed = changes.filter({ hasText: 'another reed' });
  await expect(reed).toContainText(
    /no\. 2: \d+ ms before, \d+ ms after, \d+ ms less \(\d+ to \d+ ms in nine cases of ten\)/,
  );
  await expect(changes.filter({ hasText: 'repair' })).toContainText('ms less');
  await expect(page.getByRole('img', { name: /^Response on \d+ days, from/ })).toBeVisible();

  // A take of the twelve weeks has no sound stored: it is played again when it is wanted.
  await visit(page, '/takes');
  await page
    .getByRole('link', { name: /Full to subtone/ })
    .first()
    .click();
  await page.getByTestId('take-ribbon').waitFor();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as WAV and JSON' }).click();
  // Ten seconds of it as 32-bit samples, and what was heard in them.
  expect((await stat(await (await download).path())).size).toBeGreaterThan(10 * 48000);

  await visit(page, '/case');
  const reeds = page.getByRole('list', { name: 'Reeds' });
  await page.getByRole('button', { name: 'Another reed' }).click();
  await expect(page.getByLabel('Kind and strength')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Say kind and strength, for example: cane, 2 ½.')).toBeVisible();
  await page.keyboard.type('synthetic, medium');
  await page.getByLabel('Which one of them').fill('blue mark');
  await page.keyboard.press('Enter');
  const blue = reeds.locator('[data-reed="blue mark"]');
  await expect(blue).toContainText('on the horn');
  await expect(blue).toContainText('Not played yet.');
  await visit(page, '/stand/swell?note=67&beats=4&tempoBpm=120');
  await playOut(page);
  await visit(page, '/case');
  await expect(blue).toContainText(/0 min of tone on 1 day/);
  await blue.getByRole('button', { name: 'Rate it' }).click();
  await blue.getByRole('radio', { name: 'badly' }).click();
  await blue.getByLabel('In a few words').fill('too stiff');
  await page.keyboard.press('Enter');
  await expect(blue).toContainText(/Played badly .* too stiff/);
  await blue.getByRole('button', { name: 'Retire' }).click();
  await expect(page.getByText('2 reeds out of use')).toBeVisible();
  // A leak test of long ago is due again.
  await page.getByLabel('Remind of a leak test').selectOption('after 30 days');
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByTestId('due')).toContainText(/The last leak test was \d+ days ago/);
  await visit(page, '/case');
  await page.getByLabel('What was done', { exact: true }).selectOption('leak test');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByTestId('sheet')).toBeVisible();
  await expect(page.getByTestId('due')).toHaveCount(0);
});
