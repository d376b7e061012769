import { expect, firstVisit, playOut, STATES, test, visit } from '../../browser.ts';

test.use({ storageState: STATES.quick });

test('two players on one device: a book each, told apart, opened in two presses, exported apart, removed and taken back', async ({
  page,
}) => {
  await page.goto('/stand/swell?beats=2');
  await playOut(page);
  await visit(page, '/case#books');
  // With one book nobody is asked whose it is.
  await expect(page.getByTestId('book')).toHaveCount(0);
  await page.getByLabel('Whose book this is').fill('Ada');
  await page.getByLabel('Another player').fill('Ada');
  await page.getByRole('button', { name: 'New book' }).click();
  // A new player is asked the first questions, and has nothing of the other.
  await firstVisit(page, 'simulated player');
  await visit(page, '/takes');
  await expect(page.locator('main a[href^="/takes/"]')).toHaveCount(0);
  const book = page.getByLabel('Book', { exact: true }).first();
  await expect(book.locator('option:checked')).toHaveText('Ada 2');

  await book.selectOption('Ada');
  await expect(page).toHaveURL(/\/stand$/);
  await visit(page, '/takes');
  await expect(page.locator('main a[href^="/takes/"]')).toHaveCount(1);
  await visit(page, '/case/keeping');
  const download = page.waitForEvent('download', { timeout: 60_000 });
  await page.getByRole('button', { name: 'Export', exact: true }).click();
  expect((await download).suggestedFilename()).toMatch(/^inner-hum Ada \d{4}-\d\d-\d\d\.zip$/);

  await visit(page, '/case#books');
  const other = page.getByTestId('books').getByRole('listitem');
  await other.getByRole('button', { name: 'Remove' }).click();
  await expect(other).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await other.getByRole('button', { name: 'Open' }).click();
  await expect(page.getByLabel('Book', { exact: true }).first().locator('option:checked')).toHaveText(
    'Ada 2',
  );
});
