import { expect, inPhase, playOut, slowDown, test, visit } from '../../browser.ts';

test('every note fades once: notes typed, what is none said at the field, and each sorted in the end', async ({
  page,
}) => {
  await visit(page, '/shelf/family/chromaticTones');
  const notes = page.getByLabel('Notes');
  await notes.fill('C4 h9 A7 D4 E4');
  await notes.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('“h9” is no note. For example: B4 C4 Eb6');
  await notes.fill('C4 A7 D4 E4');
  await notes.press('Enter');
  await expect(page.getByRole('alert')).toContainText('A7 is outside your range');
  // Where drawing is slow, what is pressed in haste is what was chosen last.
  await slowDown(page, 8);
  await page.getByLabel('Shape').selectOption('Swell, loud to soft');
  await notes.fill('C4 D4 E4');
  await notes.press('Enter');
  await expect(page).toHaveURL(/notes=60\.62\.64/);
  await page.getByRole('link', { name: 'Play', exact: true }).click();
  await slowDown(page, 1);
  await expect(page.getByTestId('phrase-count')).toHaveText('1 of 3');
  await playOut(page);
  // What comes late to the verdict moves nothing that is pressed below it.
  const link = page.getByRole('link', { name: 'See the round' });
  await link.waitFor();
  const place = await link.boundingBox();
  await expect(page.getByTestId('headline')).toContainText('of 3 notes at once');
  expect(await link.boundingBox()).toEqual(place);
  await link.click();
  const table = page.getByTestId('every-note');
  await expect(table.getByRole('row')).toHaveCount(4);
  await expect(table.getByRole('rowheader')).toHaveText(['C 4', 'D 4', 'E 4']);
  await expect(table.getByRole('row').nth(1)).toContainText(/at once|with work/);
  await expect(page.getByTestId('headline').first()).toHaveText(/^\d of 3 notes at once, \d with work/);
});

test('notes share a minute hands-free: each again and again until its share is over', async ({ page }) => {
  await visit(page, '/stand/drill/threeZones?notes=71.60&minutes=1&beats=8');
  await inPhase(page, 'armed').waitFor();
  await expect(page.getByTestId('phrase-count')).toHaveText('1 of 2');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('phrase-count')).toHaveText('2 of 2');
  await expect(page.getByTestId('note-now')).toContainText('C');
  await page.getByRole('link', { name: 'See the round' }).waitFor();
  await expect(page.getByTestId('headline')).toHaveText(
    /^B 4 held \d times, longest 8 clicks, first 8, last 8; C 4 held \d times/,
  );
});

test('one fingering is held and what spoke on it is listed', async ({ page }) => {
  await visit(page, '/stand/drill/insideFingering?note=58&freeBeats=16');
  await inPhase(page, 'armed').waitFor();
  await expect(page.getByTestId('note-now')).toContainText('B');
  await expect(page.getByTestId('doing')).toHaveText('any note');
  await playOut(page);
  await expect(page.getByTestId('headline')).toHaveText(/^4 notes spoke: B flat 3, B flat 4 ×2, F 5 ×2/);
});
