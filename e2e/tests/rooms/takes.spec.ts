import type { Page } from '@playwright/test';
import { expect, playOut, test, visit } from '../../browser.ts';

async function keepTake(page: Page, search: string, note: string): Promise<void> {
  await visit(page, `/stand/swell?tempoBpm=120&${search}`);
  await playOut(page);
  await page.getByRole('link', { name: 'Details' }).click();
  await page.getByLabel('Your notes').fill(note);
  await page.getByRole('link', { name: 'Takes', exact: true }).click();
  // The field on the take's own page holds the same words: be in the list before anything is looked for.
  await page.getByRole('heading', { level: 1, name: 'Takes' }).waitFor();
  await expect(page.getByText(note)).toBeVisible();
}

test('two takes laid over each other, and the list found again by note, day and words', async ({ page }) => {
  await visit(page, '/stand/swell');
  await keepTake(page, 'note=67&beats=4', 'Old reed, Übung vor dem Essen');
  await keepTake(page, 'note=58&beats=4', 'New reed');
  // The third is full of air.
  await visit(page, '/case');
  await page.getByRole('radio', { name: 'airily' }).click();
  await keepTake(page, 'note=67&beats=4', 'New reed again');

  await page.getByText('New reed again').click();
  const choice = page.getByLabel('Compare with another take');
  await expect(choice.locator('optgroup')).toHaveCount(2);
  await choice.selectOption({ index: 1 });
  await expect(page.getByText('Filled: this take. Outline: the other one.')).toBeVisible();
  await expect(page.locator('[data-figure="noiseToHarmonicDb"] td')).toHaveCount(2);
  const breath = async () =>
    (await page.locator('[data-figure="noiseToHarmonicDb"] td').allInnerTexts()).map((text) =>
      parseFloat(text.replace('−', '-')),
    );
  const [airy, clear] = await breath();
  expect(airy - clear).toBeGreaterThan(6);
  await expect(
    page
      .getByRole('img', { name: /^Pitch against loudness/ })
      .locator('circle')
      .nth(50),
  ).toBeAttached();
  // The comparison is in the address, and turns round.
  await page.reload();
  await page.getByRole('link', { name: 'Swap' }).click();
  await expect(page.locator('[data-figure="noiseToHarmonicDb"] td')).toHaveCount(2);
  await expect.poll(breath).toEqual([clear, airy]);

  await visit(page, '/takes');
  const rows = page.locator('a[href^="/takes/"]');
  await expect(rows).toHaveCount(3);
  await page.getByLabel('Note', { exact: true }).selectOption('G 4');
  await expect(page.getByText('2 of 3 takes')).toBeVisible();
  await page.getByLabel('Search in your notes').fill('ubung reed');
  await expect(rows).toHaveCount(1);
  await page.reload();
  await expect(rows).toHaveCount(1);
  await page.getByLabel('Search in your notes').fill('trumpet');
  await expect(page.getByText('No matches.')).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByLabel('Day').fill(await page.evaluate(() => new Date().toLocaleDateString('sv')));
  await page.getByLabel('Horn').selectOption('alto');
  await expect(rows).toHaveCount(3);
});
