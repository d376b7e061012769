import { readFileSync } from 'node:fs';
import { expect, playOut, STATES, test, visit } from '../../browser.ts';

test.use({ storageState: STATES.quick });

test('a teacher’s link: given, opened by somebody else, played, reported back, and read in a book of its own', async ({
  page,
  browser,
  baseURL,
}) => {
  await visit(page, '/shelf/family/longHold?note=62&beats=8&tries=1');
  await page.getByRole('link', { name: 'Give as a task' }).click();
  await page.getByLabel('Your name').fill('Ms. Hollunder');
  await page.getByLabel('What to listen for').fill('Listen to how it begins.');
  await page.getByLabel('By when').click();
  const link = await page.getByLabel('Link', { exact: true }).inputValue();
  expect(link).toMatch(/\/task#1\.[\w-]+$/);
  expect(link.length).toBeLessThan(600);
  await expect(page.getByTestId('qr').getByRole('img')).toBeVisible();

  const pupil = await browser.newContext({ baseURL: baseURL ?? '', storageState: STATES.quick });
  const there = await pupil.newPage();
  // A link that was cut says so, and nothing is kept.
  await there.goto(link.slice(0, -9));
  await expect(there.getByTestId('task-refused')).toContainText('Nothing was kept');
  await visit(there, '/today');
  await expect(there.getByTestId('task')).toHaveCount(0);
  // What it holds is seen first.
  await there.goto(link);
  await expect(there.getByRole('heading', { level: 1 })).toHaveText('A task from Ms. Hollunder');
  await expect(there.getByText('Listen to how it begins.')).toBeVisible();
  await there.getByRole('button', { name: 'Put it on Today' }).click();
  const task = there.getByTestId('task');
  await expect(task).toContainText('Long hold, D4');
  await expect(task).toContainText('0 takes so far');
  await task.getByRole('link', { name: 'Play: Long hold, D4' }).click();
  await playOut(there);
  await visit(there, '/stand/swell?beats=2');
  await playOut(there);
  await visit(there, '/today');
  await expect(task).toContainText('1 take so far');
  const download = there.waitForEvent('download', { timeout: 60_000 });
  await task.getByRole('button', { name: 'Report back with sound' }).click();
  const bytes = readFileSync(await (await download).path());
  expect((await download).suggestedFilename()).toMatch(/^inner-hum report \d{4}-\d\d-\d\d\.zip$/);
  await task.getByRole('button', { name: 'Done' }).click();
  await expect(task).toHaveCount(0);
  await there.getByRole('button', { name: 'Undo' }).click();
  await expect(task).toHaveCount(1);
  await pupil.close();

  await visit(page, '/case/keeping');
  await page.locator('input[type=file]').first().setInputFiles({
    name: 'Ben.zip',
    mimeType: 'application/zip',
    buffer: bytes,
  });
  await expect(page.getByText('A report by somebody on a task.')).toBeVisible();
  await page.getByRole('button', { name: 'Open in a book of its own' }).click();
  // The pupil's task and takes, and nothing else of theirs; the teacher's own are in the other book.
  await expect(page.getByTestId('task')).toContainText('1 take so far');
  await visit(page, '/takes');
  await expect(page.locator('main a[href^="/takes/"]')).toHaveCount(1);
  await page.locator('main a[href^="/takes/"]').first().click();
  await expect(page.getByRole('button', { name: 'Listen' }).first()).toBeVisible();
  await expect(page.getByTestId('book').first().locator('option:checked')).toHaveText('Ben');
});
