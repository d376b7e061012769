import { beginSounding, expect, inPhase, STATES, test, visit } from '../../browser.ts';

test('habits of the Case reach the Stand: names, sounding pitch, keys and light', async ({ page }) => {
  await page.goto('/case');
  await page.getByRole('radio', { name: 'C D E, H' }).click();
  await page.getByRole('radio', { name: 'sounding notes' }).click();
  await page.getByRole('radio', { name: 'stage', exact: true }).click();
  await expect(page.locator('html')).toHaveClass(/dark/);

  const keep = page.getByLabel('Keep the last minute');
  await keep.press('1');
  await expect(page.getByText('1 is already used for “Watch”.')).toBeVisible();
  await keep.press('?');
  await expect(page.getByText('Use one letter or figure.')).toBeVisible();
  await keep.press('j');
  await expect(keep).toHaveValue('j');

  await visit(page, '/stand');
  // Written B4 on the alto sounds D4.
  await expect(page.getByTestId('heard-note').getByRole('img')).toHaveAccessibleName('D 4');
  await page.waitForTimeout(1500);
  await page.keyboard.press('k');
  await page.keyboard.press('j');
  await expect(page.getByRole('link', { name: 'Kept. Look at it' })).toBeVisible();

  await visit(page, '/stand/swell?note=59');
  await inPhase(page, 'armed').waitFor();
  // German H for B: the big note, and the one in the controls.
  await expect(page.getByRole('img', { name: 'H 3' }).first()).toBeVisible();

  await visit(page, '/case');
  await page.getByRole('radio', { name: 'off', exact: true }).click();
  await expect(keep).toBeDisabled();
  await visit(page, '/stand');
  await page.getByTestId('heard-note').waitFor();
  await page.keyboard.press('j');
  await page.waitForTimeout(600);
  await expect(page.getByRole('link', { name: 'Kept. Look at it' })).toHaveCount(0);
});

test('the exercise lives in the address, and horns stop at their own lowest note', async ({ page }) => {
  await page.goto('/stand/swell?note=59&shape=wobble&beats=8');
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Half a step down' }).click();
  await expect(page).toHaveURL(/note=58/);
  await expect(page.getByRole('button', { name: 'Half a step down' })).toBeDisabled();
  await page.getByRole('radio', { name: 'Swell, loud to soft' }).click();
  await expect(page).toHaveURL(/shape=fade/);
  await page.getByRole('button', { name: 'More beats' }).click();
  await page.getByRole('button', { name: 'Faster' }).click();
  await expect(page).toHaveURL(/beats=10&tempoBpm=61/);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Swell, loud to soft' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/\/stand$/);
});

test.describe('in real time', () => {
  test.use({ storageState: STATES.standIn });

  test('eyes may change while a note sounds: the take goes on, and is no blind one', async ({ page }) => {
    await page.goto('/stand/swell');
    await inPhase(page, 'armed').waitFor();
    await page.keyboard.press('2');
    await visit(page, '/stand/swell?note=67&beats=4');
    await beginSounding(page);
    await page.keyboard.press('1');
    await page.waitForTimeout(800);
    await expect(inPhase(page, 'playing')).toBeVisible();
    await inPhase(page, 'resting').waitFor();
    await page.getByRole('link', { name: 'Details' }).click();
    await expect(page.getByTestId('take-ribbon')).toBeVisible();
    await expect(page.getByText('played blind')).toHaveCount(0);
    const held = await page.locator('[data-figure="holdSeconds"] td').first().innerText();
    expect(parseFloat(held)).toBeGreaterThan(3.5);
  });

  test('one key ends a take, the sounding rest starts no new one, and the next is counted in the list', async ({
    page,
  }) => {
    await page.goto('/stand/swell?beats=8');
    await beginSounding(page);
    await page.waitForTimeout(1500);
    await page.keyboard.press('Space');
    await inPhase(page, 'resting').waitFor();
    await expect(page.getByText(/The note stopped at \d+\.\d of 8\.0 s/)).toBeVisible();
    await page.waitForTimeout(500);
    await expect(inPhase(page, 'resting')).toBeVisible();
    await page.keyboard.press('ArrowLeft');
    await inPhase(page, 'playing').waitFor();
    await visit(page, '/takes');
    await expect(page.getByText(/[12] takes? kept/)).toBeVisible();
  });
});
