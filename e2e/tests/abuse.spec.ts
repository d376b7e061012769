import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium as chromiumType } from '@playwright/test';
import { chromium, expect, firstVisit, inPhase, playSwell, test, trouble } from '../browser.ts';

test.use({ launchOptions: chromium() });

test('two tabs may play at once: each keeps its take, and neither takes over the other’s', async ({
  page,
  context,
}) => {
  await firstVisit(page, 'stand-in player');
  await page.goto('/stand/swell?beats=4');
  await playSwell(page);
  // Opened in the middle of the other's take: what is being recorded there must not be "found again" here.
  const other = await context.newPage();
  await other.goto('/stand/swell?note=69&beats=2');
  await playSwell(other);
  for (const tab of [page, other]) await inPhase(tab, 'resting').waitFor({ timeout: 30_000 });
  await other.goto('/takes');
  await expect(other.getByText('2 takes kept')).toBeVisible();
  await expect(other.getByText(/found again/)).toHaveCount(0);
});

test('a disk that fills up in the middle of a take costs nothing: the take is judged and saved as a file', async ({
  page,
  context,
  baseURL,
}) => {
  const devtools = await context.newCDPSession(page);
  // Room for about two seconds of sound.
  await devtools.send('Storage.overrideQuotaForOrigin', { origin: baseURL ?? '', quotaSize: 500_000 });
  await firstVisit(page, 'stand-in player');
  await page.goto('/stand/swell?beats=4');
  await playSwell(page);
  await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
  await expect(trouble(page, 'storageFull')).toBeVisible();
  await expect(page.getByText(/cents/).first()).toBeVisible();
  await expect(page.getByRole('link', { name: 'Look closer' })).toHaveCount(0);
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  expect((await saving).suggestedFilename()).toMatch(/^inner-hum-take-.*\.zip$/);
  // Room again: the next take is stored as ever.
  await devtools.send('Storage.overrideQuotaForOrigin', { origin: baseURL ?? '' });
  await page.keyboard.press('ArrowLeft');
  await inPhase(page, 'playing').waitFor();
  await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
  await page.getByRole('link', { name: 'Look closer' }).click();
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
    await firstVisit(page, 'stand-in player');
    await expect(trouble(page, 'storageRefused')).toBeVisible();
    await playSwell(page);
    await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
    await expect(trouble(page, 'takeUnsaved')).toBeVisible();
    await page.getByRole('link', { name: 'Look closer' }).click();
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

for (const [name, hurt] of [
  [
    'breaks',
    () =>
      setTimeout(() =>
        Promise.reject(new Error('hurt')).catch((e: unknown) =>
          setTimeout(() => {
            throw e;
          }),
        ),
      ),
  ],
  [
    'hangs without a word',
    () =>
      setTimeout(() => {
        for (;;);
      }),
  ],
] as const)
  test(`a worker that ${name} in the middle of a take is replaced, and the take is kept`, async ({
    page,
  }) => {
    await firstVisit(page, 'stand-in player');
    await playSwell(page);
    await page.waitForTimeout(3000);
    const [worker] = page.workers();
    await worker.evaluate(hurt).catch(() => undefined);
    await expect(trouble(page, 'workerRestarted')).toBeVisible({ timeout: 20_000 });
    await playSwell(page);
    await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
    await page.goto('/takes');
    const takes = page.getByRole('link', { name: /G/ });
    await expect(takes).toHaveCount(2);
    await takes.last().click();
    await expect(page.getByText('found again')).toBeVisible();
    const held = await page.locator('[data-figure="holdSeconds"] td').first().innerText();
    expect(parseFloat(held)).toBeGreaterThan(2);
  });

test('turning the screen in the middle of a take loses no ink', async ({ page }) => {
  await firstVisit(page, 'stand-in player');
  await page.setViewportSize({ width: 844, height: 390 });
  await playSwell(page);
  await page.waitForTimeout(2500);
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
  await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
});
