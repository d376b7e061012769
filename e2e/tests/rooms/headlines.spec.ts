import type { Page } from '@playwright/test';
import { expect, inPhase, playOut, test, visit } from '../../browser.ts';

// What was asked is answered first, in the drill's own terms.

/** Plays a drill by the simulated player, phrase after phrase, to its end. */
async function played(page: Page, drill: string) {
  await visit(page, `/stand/drill/${drill}`);
  await playOut(page);
  await expect(page.getByRole('link', { name: 'See the round' })).toBeVisible({ timeout: 60_000 });
  return page.getByTestId('headline');
}

test('two lips, an open D5, full to subtone, a quiet descent, octave and restart', async ({ page }) => {
  await expect(await played(page, 'lipPositions?tries=2')).toHaveText(
    /^(No clear difference between A and B|[AB] lets \d\.\d dB more air through)/,
  );
  await page.getByRole('link', { name: 'See the round' }).click();
  await expect(page.getByRole('link', { name: /Two lips, bare air, B flat 3/ })).toHaveCount(2);
  await expect(await played(page, 'openedTone?tries=1')).toHaveText(
    /^Colour \d\.\d dB apart, pitch \d+ cents?/,
  );
  await expect(await played(page, 'fullToSubtone?note=62&to=62')).toHaveText(
    /^D 4: a subtone, \d+ dB airier, \d+ dB softer/,
  );
  await expect(await played(page, 'quietDescent')).toHaveText(
    /^B flat 3: \d+ dB under C sharp 4; in one breath/,
  );
  await expect(await played(page, 'octaveRestart?note=67&to=67')).toHaveText(
    /^3 of 3 starts like the slurred note; response \d+, \d+, \d+ ms/,
  );
});

test('a vowel sweep says which vowel is darkest and brightest, and each one beside the others', async ({
  page,
}) => {
  await expect(await played(page, 'vowelSweep?tries=1')).toHaveText(
    /^(Oo|Oh|Ah|Ay|Ee) darkest, (oo|oh|ah|ay|ee) brightest, pitch within \d+ cents?/,
  );
  await page.getByRole('link', { name: 'Details' }).click();
  await expect(page.getByTestId('words').getByRole('row')).toHaveCount(5);
  await expect(page.getByTestId('words').getByRole('row').first()).toContainText(/\d\.\d harmonics/);
});

test('a long hold counts its clicks while it lasts, and is compared with the last time and the best', async ({
  page,
}) => {
  const drill = 'longHold?beats=8&tries=1';
  await expect(await played(page, drill)).toHaveText('8 clicks, good to the end.');
  await expect(await played(page, drill)).toHaveText('8 clicks, good to the end; last time 8.');
  // On another note there is no last time.
  await expect(await played(page, `${drill}&note=69`)).toHaveText('8 clicks, good to the end.');
  // Long enough to be seen counting, however fast the simulated player is.
  await visit(page, '/stand/drill/longHold?beats=64&tries=1&note=72');
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Let the simulated player play' }).click();
  await expect(page.getByTestId('clicks')).toHaveText(/^\d+ clicks?$/);
  await played(page, drill);
  // The same in the list, and in the words for whoever does not see the ribbon.
  await visit(page, '/takes');
  await expect(page.getByText('8 clicks, good to the end; last time 8.').first()).toBeVisible();
  await page
    .getByRole('link', { name: /^G 4|G 4, mf/ })
    .first()
    .click();
  await expect(page.getByTestId('headline')).toHaveText('8 clicks, good to the end; last time 8.');
  await page.getByText('In words').click();
  await expect(page.getByTestId('told')).toContainText('8 clicks, good to the end; last time 8.');
});

test('an imagined interval has its name, which can be hidden, and a line of the player’s own', async ({
  page,
}) => {
  await expect(await played(page, 'intervalTones?widest=3')).toHaveText(
    /^3 of 3 landed within 15 cents; .*, landed /,
  );
  await visit(page, '/stand/drill/intervalTones?widest=3');
  await inPhase(page, 'armed').waitFor();
  const interval = page.getByTestId('interval');
  await expect(interval).toContainText('minor second, D 4 to E flat 4');
  const line = page.getByLabel('What you remember it by');
  await line.fill('two steps of the stairs');
  await page.getByRole('button', { name: 'Hide the name' }).click();
  await expect(interval).not.toContainText('minor second');
  await page.reload();
  await inPhase(page, 'armed').waitFor();
  await expect(line).toHaveValue('two steps of the stairs');
  await expect(interval).not.toContainText('minor second');
});
