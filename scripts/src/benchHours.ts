import type { Browser } from '@playwright/test';

/** As many takes as two hours of practice bring, one a half minute. */
const TAKES = 240;
const WARM_UP = 40;

export interface HoursFigures {
  takes: number;
  /** Used heap of the page after a collection, in MB: after the first takes, half-way, at the end. */
  pageMb: number[];
  /** The same of the worker that listens. */
  workerMb: number[];
  seconds: number;
}

/** Plays take after take without leaving the Stand, and looks at the heap of page and listener. */
export async function measureHours(browser: Browser, baseURL: string): Promise<HoursFigures> {
  const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto('/');
  await page.getByRole('button', { name: 'stand-in player' }).click();
  await page.getByRole('button', { name: 'Play the first swell' }).click();
  await page.locator('main[data-phase="armed"]').waitFor();
  await page.goto('/stand/swell?note=67&beats=1&tempoBpm=240');
  await page.locator('main[data-phase="armed"]').waitFor();
  const used = async () => {
    const devtools = await context.newCDPSession(page);
    await devtools.send('HeapProfiler.collectGarbage');
    const { usedSize } = await devtools.send('Runtime.getHeapUsage');
    await devtools.detach();
    return usedSize / 1e6;
  };
  const inWorker = async () => {
    const worker = page.workers().find((each) => each.url().includes('session'));
    // The listener has no collector of its own to ask; the least of a few looks is what stays.
    const looks: number[] = [];
    for (let i = 0; worker && i < 5; i++) {
      looks.push(
        await worker.evaluate(
          () => (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize,
        ),
      );
      await page.waitForTimeout(200);
    }
    return Math.min(...looks) / 1e6;
  };
  const pageMb: number[] = [];
  const workerMb: number[] = [];
  const begun = Date.now();
  for (let take = 1; take <= TAKES; take++) {
    await page.keyboard.press(take === 1 ? 'Space' : 'ArrowLeft');
    await page.locator('main[data-phase="playing"]').waitFor();
    await page.locator('main[data-phase="ended"]').waitFor({ timeout: 30_000 });
    if (![WARM_UP, (TAKES + WARM_UP) / 2, TAKES].includes(take)) continue;
    pageMb.push(await used());
    workerMb.push(await inWorker());
  }
  await context.close();
  return { takes: TAKES, pageMb, workerMb, seconds: (Date.now() - begun) / 1000 };
}
