import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { chromium, expect, firstVisit, inPhase, test } from '../browser.ts';

test.use({ launchOptions: chromium() });

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
/** A desk at 200 %, and at 400 %: nothing may run out of the page sideways. */
const ZOOMED = [
  { width: 640, height: 400 },
  { width: 320, height: 256 },
];

/** Every room at rest, with what its address can open. */
const ROOMS = [
  '/ladder',
  '/ladder/routes',
  '/ladder/match',
  '/ladder/subtone?note=62',
  '/high?note=93&keys=oct.L2.L3',
  '/high/sheet',
  '/today',
  '/logbook',
  '/logbook/2026-01-05',
  '/logbook/trends',
  '/logbook/aims',
  '/logbook/trials',
  '/logbook/ear',
  '/map',
  '/map?note=67',
  '/map/mouthpiece',
  '/map/findings',
  '/shelf',
  '/shelf/family/scaleEnds',
  '/shelf/sheet?of=quietDescent',
  '/takes?words=nowhere',
  '/takes',
  '/reading',
  '/stand',
  '/case',
  '/case/calibrate',
  '/case/keeping',
  '/words#partial',
];

/** Says what axe finds against WCAG 2.2 AA in the page as it stands, at each size. */
async function expectClean(page: Page, sizes: readonly { width: number; height: number }[]) {
  for (const size of sizes) {
    await page.setViewportSize(size);
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html}`)).toEqual([]);
    await expectNoSideways(page);
  }
}

const expectNoSideways = (page: Page) =>
  expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), {
      message: `${page.url()} runs out sideways`,
    })
    .toBeLessThanOrEqual(0);

for (const colorScheme of ['light', 'dark'] as const) {
  // The dark theme has the same page: its colours are what there is to check.
  const sizes = colorScheme === 'light' ? [DESK, PHONE] : [DESK];

  test(`every room passes axe, ${colorScheme}`, async ({ page }) => {
    test.setTimeout(400_000);
    await page.emulateMedia({ colorScheme });
    await page.goto('/');
    await page.getByRole('heading', { level: 1 }).waitFor();
    await expectClean(page, sizes);
    await firstVisit(page, 'stand-in player');
    for (const room of ROOMS) {
      await page.setViewportSize(DESK);
      await page.goto(room);
      await page.getByRole('main').waitFor();
      await expectClean(page, sizes);
      const help = page.getByRole('button', { name: 'Help', exact: true });
      if (colorScheme === 'dark' || (await help.count()) === 0) continue;
      await help.click();
      await page.getByRole('note').waitFor();
      await expectClean(page, [PHONE]);
      for (const size of ZOOMED) {
        await page.setViewportSize(size);
        await expectNoSideways(page);
      }
    }
  });

  test(`what comes of playing passes axe, ${colorScheme}`, async ({ page }) => {
    test.setTimeout(300_000);
    await page.emulateMedia({ colorScheme });
    const clean = () => expectClean(page, sizes);
    await firstVisit(page, 'stand-in player');
    await page.goto('/stand/swell?note=67&beats=2&tempoBpm=120');
    await inPhase(page, 'armed').waitFor();
    await clean();
    await page.keyboard.press('Space');
    await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
    await clean();
    await page.keyboard.press('ArrowLeft');
    await inPhase(page, 'playing').waitFor();
    await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
    await page.getByRole('link', { name: 'Look closer' }).click();
    await page.getByLabel('Lay another take over it').selectOption({ index: 1 });
    await page
      .getByRole('img', { name: /^Pitch against loudness/ })
      .locator('circle')
      .first()
      .waitFor();
    // For whoever does not see the ribbon.
    await page.getByText('Told in words').click();
    await expect(page.getByTestId('told')).toContainText(
      /G 4, .* s long\. It began .* at m?p.*, was .* at f.* and ended .* at m?p/,
    );
    await clean();
    // A drill: before it, and its end with the question of a blind take.
    await page.goto('/stand/drill/breakDrill?tempoBpm=240');
    await inPhase(page, 'armed').waitFor();
    await clean();
    await page.keyboard.press('2');
    await page.keyboard.press('Space');
    await page.getByText('It was').waitFor({ timeout: 60_000 });
    await clean();
    await page.keyboard.press('p');
    await page.goto('/takes');
    await page
      .getByRole('link', { name: /Over the break/ })
      .first()
      .click();
    await page.getByRole('heading', { name: 'Note by note' }).waitFor();
    await clean();
    await page.getByRole('link', { name: 'See the round' }).click();
    await page.getByTestId('round-verdict').waitFor();
    await clean();
    await page.goto('/shelf');
    await page.getByRole('heading', { name: 'Shelf' }).waitFor();
    await page.getByRole('button', { name: 'Write your own' }).click();
    await page.getByTestId('items').waitFor();
    await page.getByRole('button', { name: 'Rest', exact: true }).click();
    await clean();
  });
}

test('keys alone lead from a first visit to a take laid over another', async ({ page }) => {
  /** Goes on with the tab key until the focus is on what has this name, and presses enter. */
  const go = async (name: RegExp, press = 'Enter') => {
    for (let steps = 0; steps < 60; steps++) {
      await page.keyboard.press('Tab');
      const focused = await page.evaluate(() => {
        const element = document.activeElement;
        const label = element instanceof HTMLSelectElement ? element.labels[0]?.textContent : null;
        return label ?? element?.getAttribute('aria-label') ?? element?.textContent ?? '';
      });
      if (!name.test(focused)) continue;
      await page.keyboard.press(press);
      return;
    }
    throw new Error(`No way to ${name} by the tab key.`);
  };
  await page.goto('/');
  await page.getByRole('heading', { level: 1 }).waitFor();
  await go(/^the stand-in player|stand-in player/);
  await go(/^Play the first swell/);
  for (const key of ['Space', 'ArrowLeft']) {
    if (key === 'Space') await inPhase(page, 'armed').waitFor();
    // The focus is on nothing that a key would press.
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press(key);
    await inPhase(page, 'playing').waitFor();
    await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
  }
  await go(/^Look closer/);
  await page.getByTestId('take-ribbon').waitFor();
  await go(/^Lay another take over it/, 'ArrowDown');
  await expect(page.getByText('Ink is this take; the outline is the other.')).toBeVisible();
});
