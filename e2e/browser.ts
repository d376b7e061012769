import { test as base, expect, type Page } from '@playwright/test';

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--autoplay-policy=no-user-gesture-required',
];

/** Launch options for Debian's Chromium; more flags set its microphone. */
export const chromium = (...more: string[]) => ({
  executablePath: '/usr/bin/chromium',
  args: [...FLAGS, ...more],
});

/** A microphone that plays a WAV once, from the moment the app opens it. */
export const microphonePlaying = (file: string) =>
  chromium(
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    `--use-file-for-fake-audio-capture=${file}%noloop`,
  );

/** Every journey fails if a request leaves this machine, or if the page breaks its own policy or throws. */
export const test = base.extend<{ watched: undefined }>({
  watched: [
    async ({ context, baseURL }, use) => {
      const foreign: string[] = [];
      const broken: string[] = [];
      context.on('request', (request) => {
        const url = request.url();
        if (!url.startsWith(baseURL ?? '') && !/^(blob|data):/.test(url)) foreign.push(url);
      });
      context.on('weberror', (error) => broken.push(error.error().message));
      context.on('console', (message) => {
        if (/Content Security Policy|Refused to/.test(message.text())) broken.push(message.text());
      });
      await use(undefined);
      expect(foreign).toEqual([]);
      expect(broken).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** The three questions of a first visit, answered; then the first swell is on screen. */
export async function firstVisit(page: Page, source: 'microphone' | 'stand-in player'): Promise<void> {
  await page.goto('/');
  await expect(page).toHaveURL(/welcome/);
  await page.getByRole('button', { name: 'alto' }).click();
  await page.getByRole('button', { name: source }).click();
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

/** Lets the stand-in begin the take that the page is ready for. */
export async function playSwell(page: Page): Promise<void> {
  await inPhase(page, 'armed').waitFor();
  await page.keyboard.press('Space');
  await inPhase(page, 'playing').waitFor();
}
