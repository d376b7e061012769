import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import type Axe from 'axe-core';
import type { RunOptions } from 'axe-core';
import { expect, inPhase, NOBODY, roomTest, test, visit } from '../../browser.ts';
import { ROOMS } from '../../rooms.ts';

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
/** A desk at 200 %, and at 400 %: nothing may run out of the page sideways. */
const ZOOMED = [
  { width: 640, height: 400 },
  { width: 320, height: 256 },
];

/** Of axe's rules those that another layout can break. */
const BY_WIDTH = ['target-size', 'scrollable-region-focusable', 'aria-hidden-focus', 'color-contrast'];
const WCAG = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'];
const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** What axe finds against WCAG 2.2 AA in the page as it stands. */
async function violations(page: Page, runOnly: NonNullable<RunOptions['runOnly']>) {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  const found = await page.evaluate(
    async (options) => {
      const { axe } = window as unknown as { axe: typeof Axe };
      return (await axe.run(document, options)).violations;
    },
    { runOnly, resultTypes: ['violations'] } satisfies RunOptions,
  );
  return found.map(({ id, nodes }) => `${id}: ${nodes[0].html}`);
}

/** A desk by every rule; a phone by what its width changes. */
async function expectClean(page: Page) {
  await page.setViewportSize(DESK);
  expect(await violations(page, WCAG)).toEqual([]);
  await expectNoSideways(page);
  await page.setViewportSize(PHONE);
  expect(await violations(page, { type: 'rule', values: BY_WIDTH })).toEqual([]);
  await expectNoSideways(page);
}

/** The dark theme, and the colours that a system forces, have the same page: their colours are what there is to check. */
async function expectCleanInOtherColours(page: Page) {
  await page.setViewportSize(DESK);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(page.locator('html')).toHaveClass(/dark/);
  expect(await violations(page, { type: 'rule', values: ['color-contrast'] })).toEqual([]);
  await page.emulateMedia({ colorScheme: 'light', forcedColors: 'active' });
  // The browser goes on telling the page's own colour for letters here: what is left to check is the ground below them.
  await page.evaluate(() => {
    const letters = new CSSStyleSheet();
    letters.replaceSync('* { -webkit-text-fill-color: CanvasText }');
    document.adoptedStyleSheets.push(letters);
  });
  expect(await violations(page, { type: 'rule', values: ['color-contrast'] })).toEqual([]);
  await page.evaluate(() => {
    document.adoptedStyleSheets.pop();
  });
  await page.emulateMedia({ forcedColors: 'none' });
}

const expectNoSideways = (page: Page) =>
  expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), {
      message: `${page.url()} runs out sideways`,
    })
    .toBeLessThanOrEqual(0);

test.describe('who was never here', () => {
  test.use({ storageState: NOBODY });

  test('the welcome passes axe', async ({ page }) => {
    await visit(page, '/');
    await page.getByRole('heading', { level: 1 }).waitFor();
    await expectClean(page);
    await expectCleanInOtherColours(page);
  });
});

// One browser for all of them: nothing is changed in them.
for (const room of ROOMS)
  roomTest(`${room} passes axe, light and dark, with its help, and fits at 400 %`, async ({ page }) => {
    await visit(page, room);
    await page.getByRole('main').waitFor();
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    if (!room.includes('/sheet')) await expect(page).toHaveTitle(/\S - Inner Hum$/);
    const help = page.getByRole('button', { name: 'Help', exact: true });
    if ((await help.count()) > 0) {
      await help.click();
      await page.getByRole('note').waitFor();
    }
    await expectCleanInOtherColours(page);
    await expectClean(page);
    for (const size of ZOOMED) {
      await page.setViewportSize(size);
      await expectNoSideways(page);
    }
  });

test('what comes of playing passes axe, light and dark', async ({ page }) => {
  const clean = async () => {
    await expectClean(page);
    await expectCleanInOtherColours(page);
  };
  await visit(page, '/stand/swell?note=67&beats=2&tempoBpm=120');
  await inPhase(page, 'armed').waitFor();
  await clean();
  await page.keyboard.press('Space');
  await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
  await clean();
  await page.keyboard.press('ArrowLeft');
  await expect(inPhase(page, 'resting')).toHaveCount(0);
  await page.getByRole('link', { name: 'Details' }).click();
  await page.getByLabel('Compare with another take').selectOption({ index: 1 });
  await page
    .getByRole('img', { name: /^Pitch against loudness/ })
    .locator('circle')
    .first()
    .waitFor();
  // For whoever does not see the ribbon.
  await page.getByText('In words').click();
  await expect(page.getByTestId('told')).toContainText(
    /G 4, .* s long\. It began .* at m?p.*, was .* at f.* and ended .* at m?p/,
  );
  await clean();
  // A drill: before it, and its end with the question of a blind take.
  await visit(page, '/stand/drill/breakDrill?tempoBpm=240');
  await inPhase(page, 'armed').waitFor();
  await clean();
  await page.keyboard.press('2');
  await page.keyboard.press('Space');
  await page.getByText('It was').waitFor({ timeout: 60_000 });
  await clean();
  await page.keyboard.press('p');
  await visit(page, '/takes');
  await page
    .getByRole('link', { name: /Over the break/ })
    .first()
    .click();
  await page.getByRole('heading', { name: 'Note by note' }).waitFor();
  await clean();
  await page.getByRole('link', { name: 'See the round' }).click();
  await page.getByTestId('headline').waitFor();
  await clean();
  await visit(page, '/shelf');
  await page.getByRole('heading', { name: 'Shelf' }).waitFor();
  await page.getByRole('button', { name: 'Write your own' }).click();
  await page.getByTestId('items').waitFor();
  await page.getByRole('button', { name: 'Rest', exact: true }).click();
  await clean();
});

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
  await visit(page, '/welcome');
  await page.getByRole('heading', { level: 1 }).waitFor();
  await go(/^the simulated player|simulated player/);
  await go(/^Play the first swell/);
  for (const key of ['Space', 'ArrowLeft']) {
    if (key === 'Space') await inPhase(page, 'armed').waitFor();
    // The focus is on nothing that a key would press.
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press(key);
    await expect(inPhase(page, 'resting')).toHaveCount(0);
    await inPhase(page, 'resting').waitFor();
  }
  await go(/^Details/);
  await page.getByTestId('take-ribbon').waitFor();
  await go(/^Compare with another take/, 'ArrowDown');
  await expect(page.getByText('Filled: this take. Outline: the other one.')).toBeVisible();
});
