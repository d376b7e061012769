import { typeNote, writeOwn } from '../../builder.ts';
import { expect, inPhase, playOut, test, visit } from '../../browser.ts';

test('overblown fifths: from their block of the Ladder to the Stand, played, and counted there', async ({
  page,
}) => {
  await visit(page, '/ladder');
  const fifth = page.getByRole('button', { name: /^D 5, partial 3.*A 5/ });
  await fifth.click();
  await expect(page.getByRole('heading', { name: /^A 5/ })).toBeVisible();
  // From one block into the other by the arrow keys: the rung of the same partial beside it.
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^F 4, partial 3/, pressed: true })).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(fifth).toBeFocused();
  await page.getByRole('link', { name: 'Overblown fifths' }).click();
  await expect(page.getByTestId('note-next')).toContainText('over');
  await playOut(page);
  await expect(page.getByTestId('headline')).toHaveText(/^Climbed seamlessly 8 of 8/);
  await visit(page, '/ladder?fingered=74&partial=3');
  await expect(
    page.getByRole('button', { name: /^D 5, partial 3.*spoke \d of \d/, pressed: true }),
  ).toBeVisible();
});

test('round one tube: own fingers, overtone, fundamental, and again, in one breath', async ({ page }) => {
  await visit(page, '/stand/drill/tubeLoop?note=58&to=58&partial=2');
  await inPhase(page, 'armed').waitFor();
  await playOut(page);
  await expect(page.getByTestId('headline')).toHaveText(/^Moved seamlessly \d of 4/);
  await page.getByRole('link', { name: 'Details' }).click();
  await expect(
    page.locator('tr[data-item="1"]').getByRole('img', { name: 'B flat 4 over B flat 3' }),
  ).toBeVisible();
});

test('a lick by two fingerings is built from the real routes, played, and counted for their rungs', async ({
  page,
}) => {
  await writeOwn(page);
  let clicks = 0;
  const press = async (name: string) => {
    clicks++;
    await page.getByRole('button', { name, exact: true }).first().click();
  };
  const typed = async (note: string) => {
    clicks++;
    await typeNote(page, note);
  };
  await typed('D6');
  await press('Note');
  clicks++;
  await page.getByLabel('Fingering').selectOption({ label: 'G 5 with the octave key, overblown' });
  await press('Note');
  await typed('no note');
  await expect(page.getByRole('alert')).toHaveText('Not read. For example: D6, Bb4');
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('e6');
  await page.keyboard.press('Enter');
  clicks++;
  await page.getByLabel('Fingering').selectOption({ label: 'A 5 with the octave key, overblown' });
  expect(clicks).toBeLessThanOrEqual(12);
  await page.getByRole('link', { name: 'Let the simulated player try it' }).click();
  await playOut(page);
  await visit(page, '/ladder?fingered=79&partial=3');
  await expect(page.getByRole('button', { name: /^G 5, partial 3.*spoke 1 of 1/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^A 5, partial 3.*spoke 1 of 1/ })).toBeVisible();
});
