import { readFileSync } from 'node:fs';
import type { Browser } from '@playwright/test';

/** What grows with each take shows in these; two hours bring about 240. */
const TAKES = 60;

export interface HoursFigures {
  /** Used heap of the page after a collection, in MB: after a third, two thirds and all of the takes. */
  pageMb: number[];
  /** All that the page's process holds, with the listener and the sound: resident, in MB, at the same moments. */
  processMb: number[];
  seconds: number;
}

/** Memory of the largest process that draws pages. Linux only. */
async function largestProcessMb(browser: Browser): Promise<number> {
  const devtools = await browser.newBrowserCDPSession();
  const { processInfo } = await devtools.send('SystemInfo.getProcessInfo');
  await devtools.detach();
  const resident = processInfo
    .filter(({ type }) => type === 'renderer')
    .map(({ id }) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${id}/status`, 'utf8'))?.[1]) / 1000);
  return Math.max(...resident);
}

/** Plays take after take without leaving the Stand, and looks at what page and listener hold. */
export async function measureHours(browser: Browser, baseURL: string, takes = TAKES): Promise<HoursFigures> {
  const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto('/');
  await page.getByRole('radio', { name: 'simulated player' }).click();
  await page.getByRole('button', { name: 'Play the first swell' }).click();
  await page.locator('main[data-phase="armed"]').waitFor();
  await page.goto('/stand/swell?note=67&beats=2&tempoBpm=120');
  await page.locator('main[data-phase="armed"]').waitFor();
  const used = async () => {
    const devtools = await context.newCDPSession(page);
    await devtools.send('HeapProfiler.collectGarbage');
    const { usedSize } = await devtools.send('Runtime.getHeapUsage');
    await devtools.detach();
    return usedSize / 1e6;
  };
  const pageMb: number[] = [];
  const processMb: number[] = [];
  const begun = Date.now();
  for (let take = 1; take <= takes; take++) {
    await page.keyboard.press(take === 1 ? 'Space' : 'ArrowLeft');
    await page.locator('main[data-phase="playing"]').waitFor();
    await page.locator('main[data-phase="resting"]').waitFor({ timeout: 30_000 });
    if (take % (takes / 3) !== 0) continue;
    pageMb.push(await used());
    processMb.push(await largestProcessMb(browser));
  }
  await context.close();
  return { pageMb, processMb, seconds: (Date.now() - begun) / 1000 };
}
