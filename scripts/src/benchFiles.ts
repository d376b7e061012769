import { mkdtempSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { encodeWav } from '@inner-hum/core/formats';
import { buildSwell, DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { writtenMidi } from '@inner-hum/core/horn';
import { playExercise, WARM_UP } from '@inner-hum/core/simulated';

const FILES = 100;
const RATE = 48000;

export interface FileFigures {
  files: number;
  soundMinutes: number;
  bringInSeconds: number;
  /** Longest the page did not answer while they were brought in. */
  longestTaskMs: number;
  bytesPerMinute: number;
  archiveSeconds: number;
  archiveBytes: number;
  bringBackSeconds: number;
}

/** Recordings as a microphone of 16 bits leaves them: a swell each, none like the other. */
async function recordings(): Promise<string[]> {
  const folder = mkdtempSync(join(tmpdir(), 'inner-hum-'));
  const files: string[] = [];
  for (let seed = 0; seed < FILES; seed++) {
    const { samples } = playExercise({
      exercise: buildSwell({
        note: writtenMidi(58 + (seed % 30)),
        shape: 'growFade',
        beats: 4,
        tempoBpm: 60,
        start: 'playToStart',
      }),
      hornId: 'alto',
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      profile: WARM_UP,
      sampleRateHz: RATE,
      seed,
      leadSeconds: 0.7,
      tailSeconds: 0.7,
    });
    const wav = await encodeWav({ sampleRateHz: RATE, samples }, 16);
    const path = join(folder, `${seed}.wav`);
    writeFileSync(path, wav);
    files.push(path);
  }
  return files;
}

async function visit(browser: Browser, baseURL: string): Promise<Page> {
  const context = await browser.newContext({ baseURL, serviceWorkers: 'block' });
  await context.addInitScript('globalThis.__name = (named) => named');
  const page = await context.newPage();
  await page.goto('/');
  await page.getByRole('radio', { name: 'simulated player' }).click();
  await page.getByRole('button', { name: 'Play the first swell' }).click();
  return page;
}

const seconds = async (work: () => Promise<unknown>) => {
  const begun = performance.now();
  await work();
  return (performance.now() - begun) / 1000;
};

/** Brings a hundred recordings in, saves everything as an archive and brings that back elsewhere. */
export async function measureFiles(browser: Browser, baseURL: string): Promise<FileFigures> {
  const page = await visit(browser, baseURL);
  await page.goto('/takes');
  await page.getByText('Import recordings').click();
  const files = await recordings();
  await page.evaluate(() => {
    const tasks: number[] = [];
    Object.assign(globalThis, { longTasks: tasks });
    new PerformanceObserver((list) =>
      tasks.push(...list.getEntries().map(({ duration }) => duration)),
    ).observe({
      type: 'longtask',
    });
  });
  await page.locator('input[type=file]').setInputFiles(files);
  const bringInSeconds = await seconds(() =>
    page.getByText(`${FILES} takes imported`).waitFor({ timeout: 300_000 }),
  );
  const longestTaskMs = await page.evaluate(() =>
    Math.max(0, ...(globalThis as unknown as { longTasks: number[] }).longTasks),
  );
  // Sound is packed in a quiet moment after the page was opened.
  await page.reload();
  const stored = () =>
    page.evaluate(async () => {
      const open = indexedDB.open('inner-hum');
      const db = await new Promise<IDBDatabase>((resolve) => (open.onsuccess = () => resolve(open.result)));
      const all = db.transaction('sounds').objectStore('sounds').getAll();
      const rows = await new Promise<
        { flac: Uint8Array | null; sampleCount: number; sampleRateHz: number }[]
      >((resolve) => (all.onsuccess = () => resolve(all.result)));
      db.close();
      return {
        count: rows.length,
        bytes: rows.reduce((sum, { flac }) => sum + (flac?.byteLength ?? 0), 0),
        minutes: rows.reduce(
          (sum, { sampleCount, sampleRateHz }) => sum + sampleCount / sampleRateHz / 60,
          0,
        ),
      };
    });
  let sound = await stored();
  while (sound.count < FILES) {
    await page.waitForTimeout(500);
    sound = await stored();
  }
  await page.goto('/case/keeping');
  const save = page.getByRole('button', { name: 'Export', exact: true });
  await save.waitFor();
  const saving = page.waitForEvent('download', { timeout: 300_000 });
  const archiveSeconds = await seconds(async () => {
    await save.click();
    await saving;
  });
  // What was downloaded goes with its browser.
  const path = join(mkdtempSync(join(tmpdir(), 'inner-hum-')), 'archive.zip');
  await (await saving).saveAs(path);
  const archiveBytes = statSync(path).size;
  await page.context().close();

  const other = await visit(browser, baseURL);
  await other.goto('/case/keeping');
  await other.locator('input[type=file]').setInputFiles(path);
  const add = other.getByRole('button', { name: 'Add to what is here' });
  await add.waitFor();
  const bringBackSeconds = await seconds(async () => {
    await add.click();
    await other.getByText(`${FILES} takes restored`).waitFor({ timeout: 300_000 });
  });
  await other.context().close();
  return {
    files: FILES,
    soundMinutes: sound.minutes,
    bringInSeconds,
    longestTaskMs,
    bytesPerMinute: sound.bytes / sound.minutes,
    archiveSeconds,
    archiveBytes,
    bringBackSeconds,
  };
}
