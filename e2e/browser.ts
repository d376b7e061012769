import {
  test as base,
  expect,
  type BrowserContext,
  type BrowserContextOptions,
  type ConsoleMessage,
  type Page,
  type Request,
  type WebError,
  type WorkerInfo,
} from '@playwright/test';
import { DEMO_PORT } from './playwright.config.ts';
import { hearFile } from './microphone.ts';
import { slowed } from './slowed.ts';
import { NOBODY, STATES, type JourneyOptions } from './states.ts';

export { chromium, microphoneBeeping, microphonePlaying } from './chromium.ts';
export { slowDown } from './slowed.ts';
export { NOBODY, STATES } from './states.ts';

/** What a journey fails for: a request that leaves this machine, a page that breaks its own policy or throws. */
function watch(context: BrowserContext, baseURL: string) {
  const foreign: string[] = [];
  const broken: string[] = [];
  const onRequest = (request: Request) => {
    const url = request.url();
    if (!url.startsWith(baseURL) && !/^(blob|data):/.test(url)) foreign.push(url);
  };
  const onError = (error: WebError) => broken.push(error.error().message);
  const onConsole = (message: ConsoleMessage) => {
    if (/Content Security Policy|Refused to/.test(message.text())) broken.push(message.text());
  };
  context.on('request', onRequest).on('weberror', onError).on('console', onConsole);
  return () => {
    context.off('request', onRequest).off('weberror', onError).off('console', onConsole);
    expect(foreign).toEqual([]);
    expect(broken).toEqual([]);
  };
}

/** What a browser is that several journeys use: in full, so that nothing of the one that happens to come first stays in it. */
const sharedOptions = ({ project }: WorkerInfo): BrowserContextOptions => ({
  baseURL: project.use.baseURL ?? '',
  viewport: project.use.viewport ?? null,
  serviceWorkers: 'block',
  locale: 'en-US',
});

interface Journey extends JourneyOptions {
  watched: undefined;
}

/** Every journey is watched. Where it needs no browser of its own, it gets one that has fetched the app already, with the state it asks for. */
export const test = base.extend<Journey, { warmBrowser: () => Promise<BrowserContext> }>({
  hasOwnBrowser: [true, { option: true }],
  hears: [null, { option: true }],
  warmBrowser: [
    async ({ browser }, use, info) => {
      let context: BrowserContext | null = null;
      await use(
        async () => (context ??= await browser.newContext({ ...sharedOptions(info), storageState: NOBODY })),
      );
      await (context as BrowserContext | null)?.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ browser, warmBrowser, hasOwnBrowser, storageState }, use) => {
    if (hasOwnBrowser) {
      const context = await browser.newContext();
      await use(context);
      await context.close();
      return;
    }
    const context = await warmBrowser();
    await context.setStorageState(storageState ?? NOBODY);
    await use(context);
    for (const page of context.pages()) await page.close();
  },
  page: async ({ page, hears }, use) => {
    if (hears) await hearFile(page, hears);
    await use(await slowed(page));
  },
  watched: [
    async ({ context, baseURL }, use) => {
      const look = watch(context, baseURL ?? '');
      await use(undefined);
      look();
    },
    { auto: true },
  ],
});

/** Journeys that share one browser, and what it has loaded: each leaves it as the next may find it. */
const inOneBrowser = (options: BrowserContextOptions, begin: (page: Page) => Promise<void>) =>
  base.extend<object, { shared: BrowserContext; first: Page }>({
    shared: [
      async ({ browser }, use, info) => {
        const wanted = { ...sharedOptions(info), ...options };
        const context = await browser.newContext(wanted);
        const look = watch(context, wanted.baseURL ?? '');
        await use(context);
        look();
        await context.close();
      },
      { scope: 'worker', timeout: 90_000 },
    ],
    first: [
      async ({ shared }, use) => {
        const page = await shared.newPage();
        await begin(page);
        await use(await slowed(page));
      },
      { scope: 'worker', timeout: 90_000 },
    ],
  });

/** Rooms at rest, where nothing was played yet: all in one page, in which they only look. */
export const roomTest = inOneBrowser(
  { storageState: STATES.quick },
  async (page) => void (await page.goto('/case')),
).extend<{ page: Page }>({
  page: async ({ first, viewport }, use) => {
    if (viewport) await first.setViewportSize(viewport);
    await first.emulateMedia({ colorScheme: 'light', forcedColors: 'none' });
    await use(first);
  },
});

/** The demo's twelve weeks: a page for each. */
export const demoTest = inOneBrowser({ baseURL: `http://127.0.0.1:${DEMO_PORT}` }, async (page) => {
  await page.goto('/case');
  await page.getByRole('radio', { name: 'quickly' }).click({ timeout: 60_000 });
  await page.getByRole('radio', { name: 'quickly', checked: true }).waitFor();
}).extend<{ page: Page }>({
  page: async ({ first }, use) => {
    const page = await first.context().newPage();
    await use(await slowed(page));
    await page.close();
  },
});

export { expect };

/** Between two rooms: one in which nothing happens. */
const HALLS = ['/words', '/find'];

/** Moves inside the app as its own links do, and waits until the room before is gone. */
async function move(page: Page, address: string): Promise<void> {
  await page.evaluate((to) => {
    for (const left of document.querySelectorAll('h1')) left.setAttribute('data-left', '');
    const { idx = 0 } = (history.state ?? {}) as { idx?: number };
    history.pushState({ idx: idx + 1, key: `visit${idx}` }, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: history.state as unknown }));
  }, address);
  await page.waitForFunction(() => document.querySelector('h1[data-left]') === null, null, {
    timeout: 40_000,
  });
}

/**
 * Goes to a room. A page that shows the app already goes there by its own way, through a room in between, so that nothing of the room
 * before is left; one that does not loads it. What is about loading says `page.goto`.
 */
export async function visit(page: Page, address: string): Promise<void> {
  if ((await page.locator('main h1').count()) === 0) {
    await page.goto(address);
    return;
  }
  const [wanted, here] = [address, page.url()].map((each) => new URL(each, page.url()).pathname);
  const hall = HALLS.find((each) => each !== wanted) ?? HALLS[0];
  if (here !== hall) await move(page, hall);
  await move(page, address);
}

/** The questions of a first visit, answered; then the first swell is on screen. */
export async function firstVisit(page: Page, source: 'microphone' | 'simulated player'): Promise<void> {
  await page.goto('/');
  await expect(page).toHaveURL(/welcome/);
  await page.getByRole('radio', { name: 'alto' }).click();
  await page.getByRole('radio', { name: source }).click();
  await page.getByRole('button', { name: 'Play the first swell' }).click();
  await expect(page).toHaveURL(/stand\/swell/);
}

export const inPhase = (page: Page, phase: string) => page.locator(`main[data-phase="${phase}"]`);

/** The first number in a figure of the open take. */
export async function figure(page: Page, name: string): Promise<number> {
  const text = await page.locator(`[data-figure="${name}"] td`).first().innerText();
  const number = /-?\d+(\.\d+)?/.exec(text.replace('−', '-'));
  if (!number) throw new Error(`No number in "${text}"`);
  return Number(number[0]);
}

/** A trouble that is told on the page. */
export const trouble = (page: Page, code: string) => page.locator(`[data-trouble="${code}"]`);

/** Lets the simulated player begin what the page is ready for. */
export async function begin(page: Page): Promise<void> {
  await inPhase(page, 'armed').waitFor();
  await page.keyboard.press('Space');
}

/** Lets the simulated player begin, and waits until it sounds. */
export async function beginSounding(page: Page): Promise<void> {
  await begin(page);
  await inPhase(page, 'playing').waitFor();
}

/** Lets the simulated player play what the page is ready for, to its verdict. */
export async function playOut(page: Page): Promise<void> {
  await begin(page);
  await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
}
