import { readFileSync } from 'node:fs';
import { expect, inPhase, playOut, test, visit } from '../../browser.ts';

test('finding a drill on the Shelf, keeping it at hand, and playing it inside the own range', async ({
  page,
}) => {
  await visit(page, '/case');
  const range = page.getByRole('group', { name: 'Your lowest note' });
  for (let i = 0; i < 2; i++) await range.getByRole('button', { name: /more/ }).click();
  await expect(range.getByRole('img', { name: 'C 4' })).toBeVisible();
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByText('60 exercises, ready for your horn and range')).toBeVisible();
  await page.getByLabel('Good for').selectOption('swells');
  await page.getByLabel('Search the Shelf').fill('in turn');
  const row = page.locator('[data-shelf="alternatingSwells"]');
  await expect(
    page.getByRole('listitem').filter({ has: page.getByRole('link', { name: /^Play / }) }),
  ).toHaveCount(1);
  await expect(row.locator('.engraving svg')).toBeVisible();
  const star = row.getByRole('button', { name: /favourites/ });
  await star.click();
  await expect(star).toHaveAttribute('aria-pressed', 'true');
  // Help stays open while the Shelf is searched, and when the page is opened again.
  await page.getByRole('button', { name: 'Help', exact: true }).click();
  await page.getByLabel('Good for').selectOption('');
  await page.reload();
  await expect(page).toHaveURL(/words=in\+turn#help$/);
  await page.getByRole('note').click();
  await page.getByRole('button', { name: 'Help', exact: true }).press('Escape');
  await expect(page.getByRole('note')).toHaveCount(0);
  await expect(page).toHaveURL(/words=in\+turn$/);
  await visit(page, '/shelf?shown=favourites');
  await row.getByRole('link', { name: 'Alternating swells', exact: true }).click();
  await page.getByRole('button', { name: 'Faster' }).click();
  await expect(page).toHaveURL(/tempoBpm=/);
  await visit(page, '/shelf/family/quietDescent');
  // The lowest four notes are now those of the player's range.
  await expect(page.getByText('C4 – E flat 4')).toBeVisible();
  await visit(page, '/shelf/family/dropToBottom');
  await page.getByRole('link', { name: 'Play', exact: true }).click();
  await inPhase(page, 'armed').waitFor();
  // A caution is told once.
  await page.getByRole('button', { name: 'OK' }).click();
  await expect(page.getByRole('complementary', { name: 'Before you begin' })).toHaveCount(0);
  await page.keyboard.press('Space');
  await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
  await expect(page.getByTestId('headline')).toContainText('seamlessly');
  await page.keyboard.press('p');
  await visit(page, '/shelf');
  await expect(page.locator('[data-shelf="dropToBottom"]').getByTestId('last-result')).toBeVisible();
});

test('an exercise of one’s own: written, painted, put in order, tried by the simulated player, taken off and brought back', async ({
  page,
}) => {
  await visit(page, '/shelf');
  await page.getByRole('button', { name: 'Write your own' }).click();
  const name = page.getByLabel('What the exercise is called');
  await name.fill('Two steps');
  await name.press('Enter');
  const items = page.getByTestId('items').getByRole('button');
  await page.getByRole('button', { name: 'Rest', exact: true }).click();
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('button', { name: 'Half a step up', exact: true }).click();
  await expect(items).toHaveText([/G4\s*4/, /Rest/, /4/]);
  // Painted from the rule outward over the first note: a hairpin, engraved as one.
  const shape = (await page.getByTestId('shape-brush').boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const [left, rule] = [shape.x, shape.y + shape.height / 2];
  await page.mouse.move(left + 2, rule - 2);
  await page.mouse.down();
  await page.mouse.move(left + shape.width / 3, rule - 44, { steps: 12 });
  await page.mouse.up();
  await expect(page.locator('[data-hairpin="grow"]')).toHaveCount(1);
  // The rest goes in front by keys: lifted, moved, put down.
  await items.nth(1).focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(250);
  await page.keyboard.press('ArrowLeft');
  await page.waitForTimeout(250);
  await page.keyboard.press('Space');
  await expect(items).toHaveText([/Rest/, /G4/, /4/]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(items).toHaveText([/G4/, /Rest/, /4/]);
  // What does not fit is told where it stands.
  await items.nth(2).click();
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Note: octave down' }).click();
  await expect(page.locator('[data-problem="belowRange"]')).toContainText('is below your range');
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-problem]')).toHaveCount(0);
  await page.getByRole('spinbutton', { name: 'Tempo' }).fill('80');
  await page.keyboard.press('Enter');

  // Whoever plays otherwise, here the simulated player tries it.
  await page.getByRole('link', { name: 'Let the simulated player try it' }).click();
  await playOut(page);
  await expect(page.getByTestId('headline')).toContainText('when loud');
  await page.keyboard.press('Escape');
  await expect(name).toHaveValue('Two steps');

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export', exact: true }).click(),
  ]);
  const path = await file.path();
  const [kept] = JSON.parse(readFileSync(path, 'utf8')) as { name: string; phrases: unknown[] }[];
  expect(kept).toMatchObject({ name: 'Two steps', phrases: [{ items: { length: 3 } }] });
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('Two steps deleted.')).toBeVisible();
  const mine = page.getByRole('link', { name: 'Two steps', exact: true });
  await expect(mine).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(mine).toHaveCount(1);
  const bringIn = page.locator('input[type="file"]');
  await bringIn.setInputFiles(path);
  await expect(mine).toHaveCount(2);
  await bringIn.setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('no') });
  await expect(page.getByText('it is not JSON')).toBeVisible();
  const broken = [{ ...kept, phrases: [{ items: [{ kind: 'note', lengthBeats: 4 }] }] }, kept];
  await bringIn.setInputFiles({
    name: 'y.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(broken)),
  });
  await expect(page.getByText(/^Number 1 was left out: ./)).toBeVisible();
  await expect(mine).toHaveCount(3);
});

test('a set on paper, A4 and Letter', async ({ page }) => {
  await visit(page, '/shelf/sheet?of=pairedSwells&of=octaveRestart&of=nothing');
  await expect(page.getByRole('heading', { level: 2 })).toHaveText(['Paired swells', 'Octave and restart']);
  await expect(page.locator('.engraving[data-engraved="yes"] svg').first()).toBeVisible();
  await expect(page.locator('.engraving').last()).toContainText('B♭3');
  const papers = [
    ['A4', 595, 842],
    ['Letter', 612, 792],
  ] as const;
  for (const [paper, width, height] of papers) {
    await page.getByRole('radio', { name: paper }).click();
    await expect(page.getByRole('radio', { name: paper })).toBeChecked();
    // A PDF names the size of every page in points; one page may be a point off.
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    const boxes = [...pdf.matchAll(/\/MediaBox\s*\[0 0 ([\d.]+) ([\d.]+)\]/g)];
    expect(boxes.length).toBeGreaterThanOrEqual(2);
    for (const [, wide, high] of boxes) {
      expect(Math.abs(Number(wide) - width)).toBeLessThan(1.5);
      expect(Math.abs(Number(high) - height)).toBeLessThan(1.5);
    }
    // Nothing is cut at the right: every line of music is as wide as the paper between its margins, or less.
    await page.emulateMedia({ media: 'print' });
    const most = await page.evaluate(() =>
      Math.max(
        ...[...document.querySelectorAll('.engraving svg')].map((line) => line.getBoundingClientRect().width),
      ),
    );
    expect(most).toBeLessThanOrEqual(((width - 85) * 96) / 72 + 1);
    await page.emulateMedia({ media: 'screen' });
  }
});
