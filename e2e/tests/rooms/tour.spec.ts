import { expect, test, visit } from '../../browser.ts';
import { DEMO_PORT } from '../../playwright.config.ts';

test('the tour: from one key through eight stops, each with something that happened; back, and out of it', async ({
  browser,
}) => {
  // As it is on a first morning: other journeys put another reed on.
  const context = await browser.newContext({ baseURL: `http://127.0.0.1:${DEMO_PORT}` });
  const page = await context.newPage();
  await visit(page, '/takes');
  await page.getByRole('heading', { level: 1 }).waitFor({ timeout: 90_000 });
  await page.keyboard.press('?');
  await page.getByRole('dialog').getByRole('link', { name: 'Tour in eight stops' }).click();
  const tour = page.getByTestId('tour');
  const seen = [
    () => expect(page.getByTestId('task')).toContainText('A task from Ms. Hollunder'),
    () => expect(page.getByText('No step left.').first()).toBeVisible(),
    () => expect(page.getByRole('heading', { level: 1 })).toBeVisible(),
    // A likely cause, of the note that lies low.
    () => expect(page.locator('[data-cause="oneNoteOff"]').first()).toContainText(/G.*4/),
    () => expect(page.getByRole('heading', { level: 1 })).toBeVisible(),
    () => expect(page.getByRole('heading', { level: 1 })).toBeVisible(),
    () => expect(page.getByTestId('trials').getByRole('listitem').first()).toBeVisible(),
    () => expect(page.getByTestId('aims')).toContainText('Sixteen beats on low notes'),
  ];
  for (const [i, look] of seen.entries()) {
    await expect(tour).toContainText(`Stop ${i + 1} of 8`);
    await look();
    await tour.getByRole('link', { name: i === 7 ? 'End the tour' : 'Next stop' }).click();
  }
  await expect(tour).toHaveCount(0);
  await expect(page).toHaveURL(/\/today$/);
  await visit(page, '/map?note=68&tour=3');
  await tour.getByRole('link', { name: 'Back' }).click();
  await expect(tour).toContainText('Stop 2 of 8');
  await tour.getByRole('link', { name: 'Leave the tour' }).click();
  await expect(tour).toHaveCount(0);
  await context.close();
});
