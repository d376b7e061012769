import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium as chromiumType } from '@playwright/test';
import {
  beginSounding,
  chromium,
  expect,
  firstVisit,
  inPhase,
  NOBODY,
  playOut,
  STATES,
  test,
  trouble,
} from '../../browser.ts';

test.describe('who was never here', () => {
  // Where a browser has stored something already, the tool takes no other quota.
  test.use({ storageState: NOBODY, hasOwnBrowser: true });

  test('a disk that fills up in the middle of a take costs nothing: the take is judged and saved as a file', async ({
    page,
    context,
    baseURL,
  }) => {
    const devtools = await context.newCDPSession(page);
    // Room for about two seconds of sound.
    await devtools.send('Storage.overrideQuotaForOrigin', { origin: baseURL ?? '', quotaSize: 500_000 });
    await firstVisit(page, 'simulated player');
    await page.goto('/stand/swell?beats=4');
    await playOut(page);
    await expect(trouble(page, 'storageFull')).toBeVisible();
    await expect(page.getByText(/cents/).first()).toBeVisible();
    await expect(page.getByRole('link', { name: 'Details' })).toHaveCount(0);
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as a file' }).click();
    expect((await saving).suggestedFilename()).toMatch(/^inner-hum-take-.*\.zip$/);
    // What is changed with no room at all is not kept either, and that is said.
    await page.evaluate(() => {
      const { put } = IDBObjectStore.prototype;
      IDBObjectStore.prototype.put = function () {
        IDBObjectStore.prototype.put = put;
        throw new DOMException('No space left.', 'QuotaExceededError');
      };
    });
    await page.keyboard.press('2');
    await expect(trouble(page, 'notStored')).toBeVisible();
    // Room again: the next take is stored as ever.
    await devtools.send('Storage.overrideQuotaForOrigin', { origin: baseURL ?? '' });
    await page.keyboard.press('ArrowLeft');
    await inPhase(page, 'playing').waitFor();
    await page.getByRole('link', { name: 'Details' }).click();
    await expect(page.getByTestId('take-ribbon')).toBeVisible();
  });

  test('a browser that refuses to store anything still plays, judges and hands the take over', async ({
    baseURL,
  }) => {
    const profile = mkdtempSync(join(tmpdir(), 'inner-hum-refused-'));
    mkdirSync(join(profile, 'Default'));
    const refusal = { profile: { default_content_setting_values: { cookies: 2 } } };
    writeFileSync(join(profile, 'Default', 'Preferences'), JSON.stringify(refusal));
    const context = await chromiumType.launchPersistentContext(profile, {
      ...chromium(),
      baseURL: baseURL ?? '',
    });
    try {
      const page = await context.newPage();
      await firstVisit(page, 'simulated player');
      await expect(trouble(page, 'storageRefused')).toBeVisible();
      await playOut(page);
      await expect(trouble(page, 'takeUnsaved')).toBeVisible();
      await page.getByRole('link', { name: 'Details' }).click();
      await expect(page.getByTestId('take-ribbon')).toBeVisible();
      // Closing the page would lose it: the browser asks first.
      const asked = page.waitForEvent('dialog');
      await page.close({ runBeforeUnload: true });
      const dialog = await asked;
      expect(dialog.type()).toBe('beforeunload');
      await dialog.accept();
    } finally {
      await context.close();
    }
  });
});

test.describe('in real time', () => {
  test.use({ storageState: STATES.standIn });

  test('turning the screen in the middle of a take loses no ink', async ({ page }) => {
    await page.goto('/stand/swell?beats=8&tempoBpm=100');
    await page.setViewportSize({ width: 844, height: 390 });
    await beginSounding(page);
    await page.waitForTimeout(1500);
    await page.setViewportSize({ width: 390, height: 844 });
    await page.waitForTimeout(700);
    // Ink from the very beginning of the page, drawn anew at the new size: dark pixels in the first eighth.
    const inked = await page
      .locator('.ribbon-frame canvas')
      .last()
      .evaluate((canvas: HTMLCanvasElement) => {
        const width = Math.round(canvas.width / 8);
        const pixels = canvas.getContext('2d')?.getImageData(0, 0, width, canvas.height).data ?? [];
        let dark = 0;
        for (let i = 3; i < pixels.length; i += 4) if (pixels[i] > 128) dark++;
        return dark;
      });
    expect(inked).toBeGreaterThan(100);
    await expect(inPhase(page, 'playing')).toBeVisible();
    await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
  });
});
