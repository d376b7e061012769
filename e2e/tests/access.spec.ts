import AxeBuilder from '@axe-core/playwright';
import { chromium, expect, firstVisit, inPhase, test } from '../browser.ts';

test.use({ launchOptions: chromium() });

const LOOKS = [
  { colorScheme: 'light', viewport: { width: 1280, height: 800 } },
  { colorScheme: 'dark', viewport: { width: 390, height: 844 } },
] as const;

for (const { colorScheme, viewport } of LOOKS)
  test(`every room passes axe, ${colorScheme}, ${viewport.width} px`, async ({ page }) => {
    await page.emulateMedia({ colorScheme });
    await page.setViewportSize(viewport);
    const clean = async () => {
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
        .analyze();
      expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html}`)).toEqual([]);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth);
      expect(wide).toBe(false);
    };
    await page.goto('/');
    await page.getByRole('heading', { level: 1 }).waitFor();
    await clean();
    await firstVisit(page, 'stand-in player');
    await page.goto('/stand/swell?note=67&beats=2&tempoBpm=120');
    await inPhase(page, 'armed').waitFor();
    await clean();
    await page.keyboard.press('Space');
    await inPhase(page, 'ended').waitFor({ timeout: 20_000 });
    await clean();
    await page.getByRole('link', { name: 'Look closer' }).click();
    await page.getByTestId('take-ribbon').waitFor();
    await clean();
    for (const room of ['/takes', '/stand', '/case', '/case/calibrate']) {
      await page.goto(room);
      await page.getByRole('main').waitFor();
      await clean();
    }
  });
