import { gzipSync } from 'node:zlib';
import type { Browser, Page } from '@playwright/test';

/** What the page tells of itself, collected at its edges: nothing in the app knows that it is measured. */
interface Probe {
  /** Arrival of a frame's middle sample in the audio thread to the end of the drawing that inked it. */
  sampleToInkMs: number[];
  /** Main-thread time of each callback that drew. */
  drawMs: number[];
  /** Tasks of the main thread over 50 ms, while a take was played. */
  longTasksMs: number[];
}

/** Runs in the page before the app. */
function installProbe(): void {
  const probe: Probe = { sampleToInkMs: [], drawMs: [], longTasksMs: [] };
  Object.assign(globalThis, { innerHumProbe: probe });
  new PerformanceObserver((list) => {
    if (document.querySelector('[data-phase="playing"]') === null) return;
    for (const { duration } of list.getEntries()) probe.longTasksMs.push(duration);
  }).observe({ type: 'longtask' });
  let context: AudioContext | null = null;
  let startSeconds = 0;
  let heard = 0;
  let inked = 0;
  let drew = false;

  globalThis.AudioContext = new Proxy(AudioContext, {
    construct(Made, options: [AudioContextOptions?]) {
      context = new Made(...options);
      return context;
    },
  });
  const onmessage = Object.getOwnPropertyDescriptor(MessagePort.prototype, 'onmessage');
  Object.defineProperty(MessagePort.prototype, 'onmessage', {
    ...onmessage,
    set(this: MessagePort, handler: (event: MessageEvent) => void) {
      onmessage?.set?.call(this, (event: MessageEvent) => {
        const told = event.data as { type?: string; startSeconds?: number; columns?: { f0Hz: Float32Array } };
        if (told?.type === 'segment') {
          startSeconds = told.startSeconds ?? 0;
          heard = 0;
          inked = 0;
        }
        if (told?.type === 'frames') heard += told.columns?.f0Hz.length ?? 0;
        handler(event);
      });
    },
  });
  for (const name of ['fill', 'stroke', 'clearRect'] as const) {
    const paint = CanvasRenderingContext2D.prototype[name] as (...args: unknown[]) => void;
    Object.assign(CanvasRenderingContext2D.prototype, {
      [name](this: CanvasRenderingContext2D, ...args: unknown[]) {
        drew = true;
        paint.apply(this, args);
      },
    });
  }
  const request = globalThis.requestAnimationFrame.bind(globalThis);
  globalThis.requestAnimationFrame = (callback) =>
    request((now) => {
      drew = false;
      const begun = performance.now();
      callback(now);
      if (!drew || document.querySelector('[data-phase="playing"]') === null) return;
      probe.drawMs.push(performance.now() - begun);
      const clock = context?.currentTime ?? 0;
      // The first batch of a take is its past: what was heard before it was known to be a take.
      for (; inked < heard; inked++)
        if (inked > 100) probe.sampleToInkMs.push(1000 * (clock - startSeconds - inked / 100));
    });
}

export interface PageFigures {
  sampleToInkMs: { median: number; p95: number; count: number };
  drawMs: { median: number; p95: number; count: number };
  throttledDrawMs: { median: number; p95: number; count: number };
  /** Tasks over 50 ms with the CPU slowed four times, during one take; empty is what is wanted. */
  throttledLongTasksMs: number[];
}

function spread(values: number[]) {
  const sorted = values.toSorted((a, b) => a - b);
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? NaN;
  return { median: at(0.5), p95: at(0.95), count: sorted.length };
}

async function playSwell(page: Page, throttling: number): Promise<Probe> {
  await page.goto('/stand/swell?note=58&beats=8');
  await page.locator('main[data-phase="armed"]').waitFor();
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: throttling });
  await page.keyboard.press('Space');
  await page.locator('main[data-phase="resting"]').waitFor({ timeout: 60_000 });
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  return page.evaluate(() => (globalThis as unknown as { innerHumProbe: Probe }).innerHumProbe);
}

/** Plays swells with an airy, slipping simulated player - the ribbon that is dearest to draw - and reads the probe. */
export async function measurePage(browser: Browser, baseURL: string): Promise<PageFigures> {
  const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
  await context.addInitScript('globalThis.__name = (named) => named');
  await context.addInitScript(installProbe);
  const page = await context.newPage();
  await page.goto('/');
  await page.getByRole('radio', { name: 'simulated player' }).click();
  await page.getByRole('button', { name: 'Play the first swell' }).click();
  await page.locator('main[data-phase="armed"]').waitFor();
  await page.goto('/case');
  await page.getByRole('radio', { name: 'airily' }).click();
  const plain = await playSwell(page, 1);
  const throttled = await playSwell(page, 4);
  await context.close();
  return {
    sampleToInkMs: spread(plain.sampleToInkMs),
    drawMs: spread(plain.drawMs),
    throttledDrawMs: spread(throttled.drawMs),
    throttledLongTasksMs: throttled.longTasksMs,
  };
}

export interface FirstLoad {
  /** Bytes of script, gzipped, that had come when the first room stood, and until the page was quiet. */
  shownBytes: number;
  quietBytes: number;
}

export async function measureFirstLoad(browser: Browser, baseURL: string): Promise<FirstLoad> {
  const context = await browser.newContext({ baseURL, serviceWorkers: 'block' });
  const page = await context.newPage();
  const sizes = new Map<string, Promise<number>>();
  context.on('response', (response) => {
    if (!/javascript/.test(response.headers()['content-type'] ?? '')) return;
    sizes.set(
      response.url(),
      response.body().then((body) => gzipSync(body, { level: 9 }).length),
    );
  });
  await page.addInitScript(() => {
    new MutationObserver((_, observer) => {
      if (!document.querySelector('h1')) return;
      observer.disconnect();
      Object.assign(globalThis, { shownAt: performance.now() });
    }).observe(document, { childList: true, subtree: true });
  });
  await page.goto('/', { waitUntil: 'networkidle' });
  const before = new Set(
    await page.evaluate(() => {
      const { shownAt } = globalThis as unknown as { shownAt: number };
      return performance
        .getEntriesByType('resource')
        .filter((entry) => (entry as PerformanceResourceTiming).responseEnd <= shownAt)
        .map(({ name }) => name);
    }),
  );
  let shownBytes = 0;
  let quietBytes = 0;
  for (const [url, size] of sizes) {
    quietBytes += await size;
    if (before.has(url)) shownBytes += await size;
  }
  await context.close();
  return { shownBytes, quietBytes };
}
