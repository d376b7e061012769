import type { Page } from '@playwright/test';
import { expect, test, visit } from '../../browser.ts';
import { ROOMS } from '../../rooms.ts';

const PHONE = { width: 390, height: 844 };
/** And where one plays. */
const STANDS = ['/stand/swell?note=67&beats=4', '/stand/drill/overtoneClimb', '/stand/drill/chromaticTones'];

/** Controls and headings whose words are cut: hidden behind their own edge, or past that of the page. */
const cut = (page: Page) =>
  page.evaluate(() => {
    const scrolls = (element: Element): boolean => {
      const above = element.parentElement;
      if (!above) return false;
      return /auto|scroll/.test(getComputedStyle(above).overflowX) || scrolls(above);
    };
    const told = 'a, button, h1, h2, label, legend, summary, option:checked, th';
    return [...document.querySelectorAll<HTMLElement>(told)]
      .filter((element) => {
        const box = element.getBoundingClientRect();
        // What is for the ear alone.
        if (box.width <= 2 || box.height <= 2) return false;
        const { overflowX } = getComputedStyle(element);
        const isHidden = overflowX !== 'visible' && element.scrollWidth > element.clientWidth + 1;
        return isHidden || (box.right > window.innerWidth + 1 && !scrolls(element));
      })
      .map((element) => element.textContent.slice(0, 60));
  });

for (const language of ['English', 'Deutsch', 'Italiano'])
  test(`no word is cut on a phone in ${language}`, async ({ page }) => {
    await visit(page, '/case');
    await page.getByRole('radio', { name: language, exact: true }).click();
    await page.setViewportSize(PHONE);
    const all: string[] = [];
    for (const room of [...ROOMS, ...STANDS]) {
      await visit(page, room);
      await page.getByRole('main').waitFor();
      all.push(...(await cut(page)).map((words) => `${room}: ${words}`));
    }
    expect(all).toEqual([]);
  });

test('one key and one field for everything', async ({ page }) => {
  await visit(page, '/today');
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.keyboard.press('/');
  await page.waitForURL(/\/find/);
  await expect(page.getByRole('searchbox')).toBeFocused();
  await page.keyboard.type('keyboard');
  await expect(page.getByTestId('found').getByRole('listitem').first()).toContainText('Keys on the Stand');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/case#keys$/);
  await expect(page.locator('#keys')).toBeFocused();
  await expect(page).toHaveTitle('Case - Inner Hum');
  await page.goBack();
  await page.getByRole('searchbox').fill('overtunes');
  await expect(page.getByRole('status')).toHaveText('No exact match. Similar:');
  await page.getByRole('link', { name: 'Climb the series' }).click();
  await page.waitForURL(/overtoneClimb/);
});

test('texts name notes as the player does, accidentals and all, from the first room on', async ({ page }) => {
  await visit(page, '/shelf/family/octaveRestart');
  await expect(page.getByText('From C sharp 4 down the upper note is the overtone')).toBeVisible();
});
