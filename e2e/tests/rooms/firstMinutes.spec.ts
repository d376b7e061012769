import { expect, firstVisit, NOBODY, test, visit } from '../../browser.ts';

test.use({ storageState: NOBODY });

test('the round that teaches the ribbon: six words by one key, again from the Case, skipped at will', async ({
  page,
}) => {
  await visit(page, '/');
  await page.getByRole('link', { name: 'or first learn to read the ribbon' }).click();
  const stage = page.locator('[data-lesson]');
  const lessons = ['fat', 'thin', 'sharp', 'flat', 'airy', 'broken'];
  for (const [place, word] of lessons.entries()) {
    await expect(stage).toHaveAttribute('data-lesson', word === 'broken' ? 'torn' : word);
    await expect(page.getByRole('button', { name: `Make it ${word}` })).toBeVisible();
    // Each sounds as long as it is: the first and the last are heard out.
    if (place === 0 || word === 'broken') {
      await page.keyboard.press('PageDown');
      await expect(stage).toHaveAttribute('data-phase', 'heard');
      await page.keyboard.press('PageDown');
      // A lesson that is left before it sounds does not sound in the next.
    } else {
      await page.keyboard.press('PageDown');
      await page.getByRole('radio', { name: lessons[place + 1], exact: true }).click();
    }
  }
  // Then the questions, which were not answered yet.
  await firstVisit(page, 'simulated player');
  await visit(page, '/case');
  await page.getByRole('link', { name: 'Learn to read the ribbon' }).click();
  await page.getByRole('radio', { name: 'sharp', exact: true }).click();
  await expect(page).toHaveURL(/word=sharp/);
  await page.getByRole('button', { name: 'Skip' }).click();
  await expect(page).toHaveURL(/stand\/swell/);
});
