import { readFileSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';
import { beginSounding, expect, inPhase, STATES, test, visit } from '../../browser.ts';

test('keys alone: blind take, counted take, note, export, delete and undo', async ({ page }) => {
  await visit(page, '/stand/swell');
  await inPhase(page, 'armed').waitFor();
  await page.keyboard.press('2');
  await expect(page.getByRole('radio', { name: /Blind/ })).toBeChecked();
  await visit(page, '/stand/swell?note=58&shape=fade&beats=4&tempoBpm=100&start=countIn');
  await inPhase(page, 'armed').waitFor();
  await expect(page.getByRole('radio', { name: /Blind/ })).toBeChecked();
  await page.keyboard.press('PageDown');
  await inPhase(page, 'resting').waitFor();
  // The ribbon waits for the call: at the soft end this player goes sharp, at the loud end flat.
  await expect(page.getByText('The soft end was')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Details' })).toBeHidden();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('The loud end was')).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('call-words')).toHaveText(/[012] of 2 guesses right/);
  await page.getByRole('link', { name: 'Details' }).click();
  await expect(page.getByText('played blind')).toBeVisible();
  await expect(page.getByTestId('call-words')).toHaveText(/[012] of 2 guesses right/);

  await page.getByLabel('Your notes').fill('The end went thin.');
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as WAV and JSON' }).click();
  const files = unzipSync(new Uint8Array(readFileSync(await (await saving).path())));
  const [wav, json] = ['.wav', '.json'].map(
    (end) => Object.keys(files).find((name) => name.endsWith(end)) ?? '',
  );
  expect(strFromU8(files[wav].subarray(0, 4))).toBe('RIFF');
  const told = JSON.parse(strFromU8(files[json])) as {
    analysis: { beatZeroSeconds: number };
    call: object;
    frames: unknown[];
  };
  // A counted take begins a beat before its first beat.
  expect(told.analysis.beatZeroSeconds).toBeCloseTo(0.6, 3);
  expect(told.call).toEqual({ soft: 'sharp', loud: 'flat' });
  expect(told.frames.length).toBeGreaterThan(250);

  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('Take deleted.')).toBeVisible();
  await expect(page.getByText('Play one to begin the list.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByText('The end went thin.')).toBeVisible();
});

test('the free desk names the note at once, and one key keeps the last minute', async ({ page }) => {
  await visit(page, '/stand');
  // The simulated player begins with a written B4.
  await expect(page.getByTestId('heard-note').getByRole('img')).toHaveAccessibleName('B 4');
  await expect(page.getByText(/\d+ (sharp|flat)|true/).first()).toBeVisible();
  await page.waitForTimeout(2500);
  await page.keyboard.press('k');
  await page.getByRole('link', { name: 'Kept. Look at it' }).click();
  await expect(page.getByText('Free playing')).toBeVisible();
  await page.getByRole('slider').press('ArrowRight');
  await expect(page.getByRole('slider')).toHaveAttribute('aria-valuetext', /s$/);
});

test.describe('in real time', () => {
  test.use({ storageState: STATES.standIn });

  test('a round can be paused, taken up, played once more and skipped, by keys', async ({ page }) => {
    await visit(page, '/stand/drill/breakDrill?tempoBpm=200&start=countIn');
    const at = (index: number) => expect(page.getByTestId('phrase-count')).toHaveText(`${index} of 4`);
    await beginSounding(page);
    await page.waitForTimeout(1500);
    await page.keyboard.press('p');
    // What is left in the middle is kept, and begins anew.
    await inPhase(page, 'paused').waitFor();
    await at(1);
    await page.getByRole('button', { name: 'Resume' }).click();
    await inPhase(page, 'counting').waitFor();
    await at(1);
    await page.keyboard.press('n');
    await at(2);
    await page.keyboard.press('n');
    await at(3);
    await page.keyboard.press('n');
    await at(4);
    // Once more, and then it is over.
    await page.keyboard.press('ArrowLeft');
    await page.getByRole('link', { name: 'See the round' }).click();
    await expect
      .poll(() => page.getByRole('link', { name: /Over the break/ }).count())
      .toBeGreaterThanOrEqual(2);
  });
});
