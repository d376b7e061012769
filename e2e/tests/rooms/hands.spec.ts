import type { Page } from '@playwright/test';
import { expect, inPhase, NOBODY, test, visit } from '../../browser.ts';

test.use({ storageState: NOBODY });

/** Goes on with the tab key until what has the focus is called so. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  const isMeant = (text: string) => (typeof name === 'string' ? text === name : name.test(text));
  for (let i = 0; i < 80; i++) {
    await page.keyboard.press('Tab');
    const focused = await page.evaluate(() => {
      const element = document.activeElement;
      const label = element instanceof HTMLInputElement ? element.labels?.[0] : null;
      return element?.getAttribute('aria-label') ?? (label ?? element)?.textContent.trim() ?? '';
    });
    if (isMeant(focused)) return;
  }
  throw new Error(`The tab key never comes to ${String(name)}.`);
}

test('by keys alone: from the welcome to a judged round and its takes', async ({ page }) => {
  await visit(page, '/');
  await page.getByRole('heading', { level: 1 }).waitFor();
  // One of a few: Tab goes to what is chosen, the arrows choose.
  await tabTo(page, 'alto');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'tenor' })).toBeChecked();
  await tabTo(page, 'microphone');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'simulated player' })).toBeChecked();
  await tabTo(page, 'Play the first swell');
  await page.keyboard.press('Enter');
  await inPhase(page, 'armed').waitFor();
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/\/stand$/);
  // Quickly, so that a round does not take its minutes.
  await tabTo(page, 'Case');
  await page.keyboard.press('Enter');
  await page.getByRole('heading', { name: 'Case' }).waitFor();
  await tabTo(page, 'in real time');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'quickly' })).toBeChecked();
  await tabTo(page, 'Shelf');
  await page.keyboard.press('Enter');
  await page.getByRole('heading', { name: 'Shelf' }).waitFor();
  await page.keyboard.press('/');
  await expect(page.getByRole('searchbox')).toBeFocused();
  await page.keyboard.type('octave restart');
  await tabTo(page, /^Octave and restart/);
  await page.keyboard.press('Enter');
  await page.getByRole('heading', { name: 'Octave and restart' }).waitFor();
  await tabTo(page, 'Play');
  await page.keyboard.press('Enter');
  await inPhase(page, 'armed').waitFor();
  // A note by its name, a number by arrows.
  await tabTo(page, /^From note: .*Press to type/);
  await page.keyboard.press('Enter');
  await page.keyboard.type('d4');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/note=62/);
  await page.getByRole('button', { name: 'From note: D4. Press to type' }).waitFor();
  await inPhase(page, 'armed').waitFor();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('link', { name: 'See the round' })).toBeVisible({ timeout: 120_000 });
  await tabTo(page, 'See the round');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/takes\/round\//);
  await expect(page.getByTestId('headline')).not.toBeEmpty();
});

test.describe('by touch alone', () => {
  test.use({ hasOwnBrowser: true, hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } });

  test('from the welcome to a judged swell, another note, and again', async ({ page }) => {
    await visit(page, '/');
    await page.getByRole('radio', { name: 'simulated player' }).tap();
    await page.getByRole('button', { name: 'Play the first swell' }).tap();
    await inPhase(page, 'armed').waitFor();
    await page.getByRole('complementary').getByRole('button', { name: 'OK' }).tap();
    await page.getByRole('button', { name: 'Change', exact: true }).tap();
    const fields = page.getByRole('group', { name: 'Change' });
    await fields.getByRole('button', { name: 'Half a step up' }).tap();
    await expect(page).toHaveURL(/note=68/);
    await fields.getByRole('button', { name: 'Fewer beats' }).tap();
    await fields.getByRole('button', { name: 'Fewer beats' }).tap();
    await expect(page).toHaveURL(/beats=4/);
    await fields.getByRole('button', { name: 'Done' }).tap();
    await expect(fields).toHaveCount(0);
    await inPhase(page, 'armed').waitFor();
    await page.getByRole('button', { name: 'Let the simulated player play' }).tap();
    await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
    await expect(page.getByTestId('headline')).not.toBeEmpty();
    // What comes next lies where the thumb is.
    const again = page.getByRole('button', { name: /^Again/ });
    const box = await again.boundingBox();
    expect(box?.y).toBeGreaterThan(844 / 2);
    expect(box?.height).toBeGreaterThanOrEqual(44);
    await again.tap();
    await inPhase(page, 'playing').waitFor();
  });
});
