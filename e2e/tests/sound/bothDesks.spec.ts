import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { begin, expect, inPhase, STATES, test } from '../../browser.ts';

/** What is told of a take, but for when it was played and what it is called. */
async function toldOf(page: Page): Promise<object> {
  await begin(page);
  await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
  await page.getByRole('link', { name: 'Details' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as WAV and JSON' }).click();
  const files = unzipSync(new Uint8Array(readFileSync(await (await saving).path())));
  const json = Object.keys(files).find((name) => name.endsWith('.json')) ?? '';
  const { analysis, frames, lengthSeconds } = JSON.parse(strFromU8(files[json])) as Record<string, unknown>;
  expect((frames as unknown[]).length).toBeGreaterThan(200);
  const wav = Object.keys(files).find((name) => name.endsWith('.wav')) ?? '';
  return { analysis, frames, lengthSeconds, sound: Buffer.from(files[wav]).toString('base64') };
}

for (const start of ['playToStart', 'countIn'])
  test(`the same sound in real time and quickly: the same take, bit for bit (${start})`, async ({
    browser,
    baseURL,
  }) => {
    const told: object[] = [];
    for (const storageState of [STATES.standIn, STATES.quick]) {
      const context = await browser.newContext({ storageState, baseURL: baseURL ?? '' });
      // Whatever the device would choose: one rate on both desks.
      await context.addInitScript(() => {
        const Given = AudioContext;
        Object.assign(window, {
          AudioContext: class extends Given {
            constructor(options?: AudioContextOptions) {
              super({ ...options, sampleRate: 48000 });
            }
          },
        });
      });
      const page = await context.newPage();
      await page.goto(`/stand/swell?note=67&beats=4&tempoBpm=100&start=${start}`);
      told.push(await toldOf(page));
      await context.close();
    }
    expect(told[1]).toEqual(told[0]);
  });
