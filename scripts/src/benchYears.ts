import type { Browser, Page } from '@playwright/test';
import { inPage } from './inPage.ts';

/** Where each press leads, and what shows that the room is there with what is stored. */
const MOST_MS = 30_000;

const ROOMS = [
  { link: 'Today', shows: 'main ol li, main [data-line], main button' },
  { link: 'Stand', shows: '[role="img"]' },
  { link: 'Takes', shows: 'main a[href^="/takes/"]' },
  { link: 'Horn map', shows: '[data-note="60"]' },
  { link: 'Ladder', shows: 'main svg [role="button"], main svg' },
  { link: 'High notes', shows: 'main svg' },
  { link: 'Shelf', shows: '[data-shelf]' },
  { link: 'Logbook', shows: '[data-testid="ink"] svg' },
  { link: 'Case', shows: 'main h2' },
];

/** From the press to the second frame in which the room stands with what it shows, by the page's own clock; ms. */
async function enter(page: Page, link: string, shows: string): Promise<number> {
  return page.evaluate(
    ({ link, shows, mostMs }) =>
      new Promise<number>((resolve, reject) => {
        const place = [...document.querySelectorAll<HTMLElement>('nav a')].find(
          ({ textContent }) => textContent === link,
        );
        const before = document.querySelector('main h1')?.textContent;
        const begun = performance.now();
        place?.click();
        const look = () => {
          const isThere =
            place?.getAttribute('aria-current') === 'page' &&
            document.querySelector(shows) !== null &&
            (document.querySelector('main h1')?.textContent !== before || link === 'Stand');
          const ms = performance.now() - begun;
          if (ms > mostMs) {
            reject(new Error(`${link} did not show ${shows}.`));
            return;
          }
          if (isThere) requestAnimationFrame(() => resolve(performance.now() - begun));
          else requestAnimationFrame(look);
        };
        look();
      }),
    { link, shows, mostMs: MOST_MS },
  );
}

export interface YearsFigures {
  takes: number;
  days: number;
  /** The room's name, and ms to enter it the second time, when its code is there. */
  rooms: { name: string; firstMs: number; ms: number }[];
}

/** Room changes with ten years of practice in the browser; `baseURL` serves the demo. */
export async function measureYears(browser: Browser, baseURL: string): Promise<YearsFigures> {
  const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
  // The compiler names functions by a helper that the page does not have.
  await context.addInitScript('globalThis.__name = (named) => named');
  const page = await context.newPage();
  await page.goto('/case');
  await page.getByRole('heading', { level: 1, name: 'Case' }).waitFor({ timeout: 120_000 });
  const { takes, days } = await inPage<{ takes: number; days: number }>(page, 'yearsInPage.ts', 'fillYears');
  await page.reload();
  await page.getByRole('heading', { level: 1, name: 'Case' }).waitFor();
  const times = new Map<string, number[]>();
  for (let round = 0; round < 4; round++)
    for (const { link, shows } of ROOMS) {
      const ms = await enter(page, link, shows);
      times.set(link, [...(times.get(link) ?? []), ms]);
      await page.waitForTimeout(700);
    }
  await context.close();
  const rooms = [...times].map(([name, [firstMs, ...again]]) => ({
    name,
    firstMs,
    ms: again.toSorted((a, b) => a - b)[Math.floor(again.length / 2)],
  }));
  return { takes, days, rooms };
}
