import { appendFileSync, cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { encodeFlac, encodeWav } from '@inner-hum/core/formats';
import { roundToSteps } from '@inner-hum/core/signal';
import { strFromU8, unzipSync } from 'fflate';
import type { Browser, Download, Page } from '@playwright/test';
import {
  beginSounding,
  expect,
  firstVisit,
  inPhase,
  NOBODY,
  playOut,
  STATES,
  test,
  trouble,
  visit,
} from '../../browser.ts';
import { createApp } from '../../../server/src/app.ts';
import { playFaultySwell } from '../../sounds.ts';
import { putRows, rowsOf } from '../../storedRows.ts';

// What is played outlives its browser: out as files, back, without a network, and where the disk or a row goes bad.
/** Of a server whose app grows newer. */
const UPDATE_PORT = 4275;

async function playToTheEnd(page: Page): Promise<void> {
  await page.goto('/stand/swell?beats=2');
  await playOut(page);
}

async function downloaded(
  page: Page,
  press: () => Promise<void>,
): Promise<{ name: string; bytes: Buffer; path: string }> {
  const waiting = page.waitForEvent('download', { timeout: 60_000 });
  await press();
  const download: Download = await waiting;
  const path = await download.path();
  return { name: download.suggestedFilename(), bytes: readFileSync(path), path };
}

async function newcomer(browser: Browser, baseURL: string | undefined): Promise<Page> {
  const context = await browser.newContext({
    storageState: STATES.quick,
    ...(baseURL !== undefined && { baseURL }),
  });
  return context.newPage();
}

test('a take is packed without loss, leaves as an archive, and comes back once, however often it is brought', async ({
  page,
  browser,
  baseURL,
}) => {
  await playToTheEnd(page);
  await page.getByRole('link', { name: 'Details' }).click();
  await page.getByRole('textbox').fill('the first one');
  // In a quiet moment the parts it was recorded in become one piece.
  await expect(async () => expect(await rowsOf(page, 'sounds')).toHaveLength(1)).toPass({ timeout: 20_000 });
  expect(await rowsOf(page, 'chunks')).toHaveLength(0);
  const [{ bytes, sampleCount, sampleRateHz }] = await rowsOf(page, 'sounds');
  const perMinute = (60 * bytes) / (sampleCount / sampleRateHz);
  expect(perMinute).toBeLessThan(4 * 60 * 48000 * 0.75);
  console.log(
    `stored sound: ${(perMinute / 1e6).toFixed(1)} MB a minute; as floats ${((4 * 60 * 48000) / 1e6).toFixed(1)}`,
  );
  await page.goto('/case');
  await page.getByRole('link', { name: 'Archives, copies, free space' }).click();
  await expect(page.getByText(/are stored here/)).toBeVisible();
  const archive = await downloaded(page, () =>
    page.getByRole('button', { name: 'Export', exact: true }).click(),
  );
  expect(archive.name).toMatch(/^inner-hum \d{4}-\d\d-\d\d\.zip$/);
  await expect(page.getByTestId('keeping-told')).toContainText('1 take exported');
  const parts = unzipSync(archive.bytes);
  expect(Object.keys(parts).filter((name) => name.endsWith('sound.flac'))).toHaveLength(1);
  expect(strFromU8(parts[Object.keys(parts).find((name) => name.startsWith('csv/notes')) ?? ''])).toContain(
    'the first one',
  );

  const other = await newcomer(browser, baseURL);
  await playToTheEnd(other);
  await other.goto('/case/keeping');
  const choose = other.locator('input[type=file]');
  await choose.setInputFiles(archive.path);
  await expect(other.getByText(/1 take, made on/)).toBeVisible();
  await other.getByRole('button', { name: 'Add to what is here' }).click();
  await expect(other.getByTestId('keeping-told')).toContainText('1 take restored');
  await choose.setInputFiles(archive.path);
  await other.getByRole('button', { name: 'Add to what is here' }).click();
  await expect(other.getByTestId('keeping-told')).toContainText('1 was here already');
  await visit(other, '/takes');
  await expect(other.getByText('2 takes kept')).toBeVisible();
  // In place of what is here: only what the archive holds is left.
  await visit(other, '/case/keeping');
  await choose.setInputFiles(archive.path);
  await other.getByRole('button', { name: 'Replace everything' }).click();
  await expect(other.getByTestId('keeping-told')).toContainText('that the archive does not contain');
  await visit(other, '/takes?words=first');
  await expect(other.getByText('1 of 1 take')).toBeVisible();
  await other.locator('main a[href^="/takes/"]').first().click();
  await other.getByRole('button', { name: /Listen/ }).click();
  await expect(other.getByRole('button', { name: /Pause/ })).toBeVisible();
  // A file that is none changes nothing, and says so.
  await visit(other, '/case/keeping');
  await choose.setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('PK no') });
  await expect(other.getByTestId('keeping-told')).toContainText('is not an Inner Hum archive');
  await other.context().close();
});

test('copies go into a folder of the player’s, a month a file, and each can be brought back', async ({
  page,
}) => {
  // The system's own question cannot be answered here; the browser's private folder has the same doors.
  await page.addInitScript(() => {
    Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() });
  });
  await playToTheEnd(page);
  await page.goto('/case/keeping');
  await page.getByRole('button', { name: 'Choose a folder' }).click();
  await expect(page.getByTestId('keeping-told')).toContainText('1 archive written');
  const names = await page.evaluate(async () => {
    const found: string[] = [];
    for await (const name of (await navigator.storage.getDirectory()).keys()) found.push(name);
    return found.filter((name) => name.endsWith('.zip'));
  });
  expect(names).toEqual([expect.stringMatching(/^inner-hum-\d{4}-\d\d\.zip$/)]);
  await page.getByRole('button', { name: 'Copy now' }).click();
  await expect(page.getByText(/last written on/)).toBeVisible();
});

test('recordings become takes: split at their pauses, whatever the browser reads, each file that is none named', async ({
  page,
}) => {
  const swell = playFaultySwell();
  roundToSteps(swell.samples);
  const pause = new Float32Array(2 * swell.sampleRateHz);
  const twice = Float32Array.from([...swell.samples, ...pause, ...swell.samples]);
  const wav = await encodeWav({ sampleRateHz: swell.sampleRateHz, samples: twice }, 16);
  const flac = await encodeFlac(swell);
  const bad = (await encodeWav({ sampleRateHz: 48000, samples: Float32Array.of(NaN, 1) })) as Uint8Array;
  // Of a recorder that did not know how long it would be.
  const streamed = Buffer.from(await encodeWav(swell, 16));
  streamed.writeUInt32LE(0xffffffff, streamed.indexOf('data') + 4);
  await page.goto('/takes');
  await page.getByText('Import recordings').click();
  await page.locator('input[type=file]').setInputFiles([
    { name: 'twice.wav', mimeType: 'audio/wav', buffer: Buffer.from(wav) },
    { name: 'once.flac', mimeType: 'audio/flac', buffer: Buffer.from(flac ?? []) },
    { name: 'streamed.wav', mimeType: 'audio/wav', buffer: streamed },
    // Called something else than it is.
    { name: 'flac.wav', mimeType: 'audio/wav', buffer: Buffer.from(flac ?? []) },
    { name: 'tape.aiff', mimeType: 'audio/aiff', buffer: Buffer.from('FORM\0\0\0\x20AIFFCOMM', 'latin1') },
    { name: 'text.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from('no sound') },
    { name: 'short.wav', mimeType: 'audio/wav', buffer: Buffer.from(wav.slice(0, 2000)) },
    { name: 'nan.wav', mimeType: 'audio/wav', buffer: Buffer.from(bad) },
    {
      name: 'quiet.wav',
      mimeType: 'audio/wav',
      buffer: Buffer.from(await encodeWav({ sampleRateHz: 48000, samples: pause })),
    },
  ]);
  const door = page.getByTestId('bring-in');
  await expect(door).toContainText('5 takes imported', { timeout: 60_000 });
  await expect(door).toContainText(
    'tape.aiff was not imported: it is AIFF, which this browser cannot read. Convert',
  );
  await expect(door).toContainText('text.mp3 was not imported: the browser cannot read');
  await expect(door).toContainText(/short\.wav was not imported: .*cut short/);
  await expect(door).toContainText(/nan\.wav was not imported: .*no number/);
  await expect(door).toContainText('quiet.wav was not imported: no tone');
  await expect(page.getByText('5 takes kept')).toBeVisible();
  // And out again, as tables and sound.
  await page.getByText('Export these 5 takes').click();
  const zip = await downloaded(page, () => page.getByRole('button', { name: 'Sound as WAV' }).click());
  const sounds = unzipSync(zip.bytes);
  expect(Object.keys(sounds)).toHaveLength(5);
  for (const sound of Object.values(sounds)) expect(strFromU8(sound.slice(8, 12))).toBe('WAVE');
});

test('of a recording it is said what it lacks: its end, or room over its loudest notes; one that would unpack to days is not', async ({
  page,
}) => {
  const swell = playFaultySwell();
  roundToSteps(swell.samples);
  const flac = Buffer.from((await encodeFlac(swell)) ?? []);
  const endless = Buffer.from(flac);
  // The low 32 of the 36 bits that count its samples.
  endless.writeUInt32BE(0xffffffff, 22);
  const peak = swell.samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
  const loud = await encodeWav({ ...swell, samples: swell.samples.map((sample) => (1.2 * sample) / peak) });
  await page.goto('/takes');
  await page.getByText('Import recordings').click();
  await page.locator('input[type=file]').setInputFiles([
    { name: 'cut.flac', mimeType: 'audio/flac', buffer: flac.subarray(0, Math.floor(0.6 * flac.length)) },
    { name: 'loud.wav', mimeType: 'audio/wav', buffer: Buffer.from(loud) },
    { name: 'endless.flac', mimeType: 'audio/flac', buffer: endless },
  ]);
  const door = page.getByTestId('bring-in');
  await expect(door).toContainText('2 takes imported', { timeout: 60_000 });
  await expect(door).toContainText(
    /cut\.flac is cut short: \d+ of \d+ s are there\. Copy or export it again\./,
  );
  await expect(door).toContainText(/loud\.wav: \d+ samples were over full scale and were clipped\./);
  await expect(door).toContainText('endless.flac was not imported: it is too long');
});

test('plays on without a network once it was opened, and finds its takes in every room', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    serviceWorkers: 'allow',
    storageState: STATES.quick,
    ...(baseURL !== undefined && { baseURL }),
  });
  const page = await context.newPage();
  await page.goto('/case');
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await context.setOffline(true);
  await playToTheEnd(page);
  for (const [room, heading] of [
    ['/today', 'What do I play now?'],
    ['/takes', 'Takes'],
    ['/map', 'Where is my tone uneven?'],
    ['/ladder', 'Ladder'],
    ['/high', 'High notes'],
    ['/shelf', 'Shelf'],
    ['/logbook/aims', 'What do I want to reach?'],
    ['/case/keeping', 'Backup'],
  ]) {
    await page.goto(room);
    await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
  }
  await page.goto('/takes');
  await expect(page.getByText('1 take kept')).toBeVisible();
  const manifest = await page.evaluate(
    async () => (await fetch('/manifest.webmanifest')).json() as Promise<{ display: string }>,
  );
  expect(manifest.display).toBe('standalone');
  await context.close();
});

test.describe('a disk of its own', () => {
  test.use({ hasOwnBrowser: true });

  test('room that runs out is told while there is time, and the sound of old takes can go without the rest', async ({
    page,
    context,
    baseURL,
  }) => {
    await playToTheEnd(page);
    const devtools = await context.newCDPSession(page);
    await devtools.send('Storage.overrideQuotaForOrigin', { origin: baseURL ?? '', quotaSize: 100_000_000 });
    await playToTheEnd(page);
    await expect(trouble(page, 'storageLow')).toBeVisible({ timeout: 20_000 });
    await page.getByRole('button', { name: 'Free space' }).click();
    await expect(page.getByText('Less than 250 MB more fits.', { exact: false })).toBeVisible();
    // Yesterday's takes: the day is moved, for the journey cannot wait.
    await putRows(page, 'takes', { day: '2026-01-05' });
    await page.reload();
    await page.getByLabel('Takes before').fill(new Date().toISOString().slice(0, 10));
    await page.getByRole('button', { name: /Delete the audio of 2 takes/ }).click();
    await expect(page.getByTestId('keeping-told')).toContainText('everything else is kept');
    expect(await rowsOf(page, 'sounds')).toHaveLength(0);
    await page.goto('/takes');
    await page.locator('main a[href^="/takes/"]').first().click();
    await page.getByRole('button', { name: /Listen/ }).click();
    await expect(page.getByText('Audio deleted to free space.')).toBeVisible();
  });
});

test('a row that cannot be read is put aside, and the rooms open', async ({ page }) => {
  await playToTheEnd(page);
  // The look at all rows, once a day, is over: else it might find the row before the room does.
  await putRows(page, 'settings', { rowsCheckedDay: new Date().toLocaleDateString('sv') });
  await putRows(page, 'takes', { id: 'broken', context: { exercise: 'gone' }, analysis: { items: 3 } });
  // The list stands; the room of the row itself cannot, and sets it apart.
  await visit(page, '/takes');
  await expect(page.getByTestId('damaged-row')).toHaveCount(1);
  await expect(page.locator('main a[href^="/takes/"]')).toHaveCount(1);
  await visit(page, '/takes/broken');
  await expect(page.getByRole('heading', { name: 'This room could not be shown' })).toBeVisible();
  await expect(page.getByText('1 row that could not be read was set apart')).toBeVisible();
  await visit(page, '/takes');
  await expect(page.getByText('1 take kept')).toBeVisible();
  await visit(page, '/takes/broken');
  await expect(page.getByText('It could not be read and lies set apart.')).toBeVisible();
  await page.getByRole('link', { name: 'To what was set apart' }).click();
  const row = page.getByText(/^takes, .*(analysis|context)/);
  await expect(row).toBeVisible();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(row).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toBeVisible();
});

test.describe('from before', () => {
  test.use({ storageState: NOBODY });

  test('opens what an older version stored, and gives way to a newer one in another tab', async ({
    page,
    context,
  }) => {
    await page.route('**/case', (route) =>
      route.fulfill({ contentType: 'text/html', body: 'a page of this origin' }),
    );
    await page.goto('/case');
    await page.evaluate(async () => {
      const open = indexedDB.open('inner-hum', 10);
      open.onupgradeneeded = () => {
        const { result: db } = open;
        const takes = db.createObjectStore('takes', { keyPath: 'id' });
        for (const index of ['state', 'startedAt']) takes.createIndex(index, index);
        const chunks = db.createObjectStore('chunks', { keyPath: ['takeId', 'index'] });
        chunks.createIndex('takeId', 'takeId');
        db.createObjectStore('frames', { keyPath: 'takeId' });
        db.createObjectStore('settings', { keyPath: 'id' }).put({
          id: 'settings',
          visited: true,
          hornId: 'tenor',
          a4Hz: 442,
        });
        db.createObjectStore('calibrations', { keyPath: 'id' }).createIndex('madeAt', 'madeAt');
        takes.put({
          id: 'old',
          state: 'kept',
          kind: 'free',
          startedAt: new Date(2025, 3, 12, 18, 30).getTime(),
          hornId: 'tenor',
          a4Hz: 442,
          scale: { floorDb: -46, ceilingDb: -16, source: 'default' },
          source: 'microphone',
          eyes: 'watch',
          sampleRateHz: 48000,
          lengthSeconds: 1,
          context: null,
          dueClickSeconds: [],
          foundClickSeconds: [],
          analysis: null,
          loudness: null,
          playerNote: 'from long ago',
          recovered: false,
          deletedAt: null,
        });
        chunks.put({ takeId: 'old', index: 0, samples: new Float32Array(48000) });
      };
      await new Promise<void>((resolve) => (open.onsuccess = () => resolve(open.result.close())));
    });
    await page.unroute('**/case');
    await page.goto('/takes?words=long');
    await expect(page.getByText('1 of 1 take')).toBeVisible();
    await expect(page.getByText('Saturday 12 April')).toBeVisible();
    // A tab with a newer version wants the database: this one closes it and says what to do.
    const newer = await context.newPage();
    await newer.route('**/case', (route) =>
      route.fulfill({ contentType: 'text/html', body: 'a newer version' }),
    );
    await newer.goto('/case');
    await newer.evaluate(async () => {
      const open = indexedDB.open('inner-hum', 1000);
      await new Promise<void>((resolve) => (open.onsuccess = () => resolve(open.result.close())));
    });
    await expect(page.getByText('A newer Inner Hum is open in another tab.', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Reload' }).click();
    await expect(page.getByText('Inner Hum could not open its takes.', { exact: false })).toBeVisible();
  });
});

test('a score comes in for the horn that is played, and goes out again for other programs', async ({
  page,
}, testInfo) => {
  await page.goto('/shelf');
  const note = (step: string, octave: number) =>
    `<note><pitch><step>${step}</step><octave>${octave}</octave></pitch><duration>4</duration></note>`;
  const score = `<score-partwise version="4.0"><work><work-title>Two notes</work-title></work><part-list><score-part id="P1"><part-name>Flute</part-name></score-part></part-list><part id="P1"><measure number="1"><attributes><divisions>1</divisions></attributes>${note('C', 5)}</measure><measure number="2">${note('E', 5)}</measure></part></score-partwise>`;
  const path = testInfo.outputPath('two.musicxml');
  writeFileSync(path, score);
  const door = page.locator('input[type=file]');
  await door.setInputFiles({
    name: 'bomb.xml',
    mimeType: 'text/xml',
    buffer: Buffer.from('<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>'),
  });
  await expect(page.getByText(/declares XML entities/)).toBeVisible();
  await door.setInputFiles(path);
  const panel = page.getByTestId('score');
  // C5 and E5 as they sound are written A5 and C#6 for the alto.
  await expect(panel.getByText(/A5 – C sharp 6/)).toBeVisible();
  await panel.getByRole('radio', { name: 'long tones of its notes' }).click();
  await panel.getByRole('button', { name: 'Add to the Shelf' }).click();
  await expect(page.getByText('1 exercise imported')).toBeVisible();
  await page
    .getByRole('link', { name: /Two notes, Flute/ })
    .first()
    .click();
  const xml = await downloaded(page, () => page.getByRole('button', { name: 'Export as MusicXML' }).click());
  expect(xml.bytes.toString()).toContain('<chromatic>-9</chromatic>');
  const midi = await downloaded(page, () =>
    page.getByRole('button', { name: 'Export as MIDI with click' }).click(),
  );
  expect(midi.bytes.subarray(0, 4).toString()).toBe('MThd');
  expect(midi.name).toBe('Two notes, Flute.mid');
});

test('a newer version waits until the player takes it, and not while a take is played', async ({
  browser,
}) => {
  const distDir = join(mkdtempSync(join(tmpdir(), 'inner-hum-')), 'dist');
  cpSync(join(import.meta.dirname, '../../../web/dist'), distDir, { recursive: true });
  const origin = `http://127.0.0.1:${UPDATE_PORT}`;
  const app = createApp({ distDir, origins: [origin], demo: false, authority: null });
  const server = app.listen(UPDATE_PORT, '127.0.0.1');
  const context = await browser.newContext({ serviceWorkers: 'allow', baseURL: origin });
  const page = await context.newPage();
  await firstVisit(page, 'simulated player');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  // From the next visit on the page is the one that is kept.
  await page.goto('/case');
  await expect(page.getByText('A newer Inner Hum is available.')).toHaveCount(0);
  appendFileSync(join(distDir, 'sw.js'), '\n// the next version\n');
  await page.waitForTimeout(3500);
  const look = () =>
    page.evaluate(() =>
      navigator.serviceWorker.getRegistration().then((found) => found?.update().then(() => undefined)),
    );
  await look();
  const notice = page.getByText('A newer Inner Hum is available.');
  await expect(notice).toBeVisible({ timeout: 20_000 });
  // Another tab plays: nothing is taken from under it.
  const other = await context.newPage();
  await other.goto('/stand/swell?beats=4');
  await beginSounding(other);
  await page.getByRole('button', { name: 'Update now' }).click();
  await expect(page.getByText('A take is being played', { exact: false })).toBeVisible();
  await inPhase(other, 'resting').waitFor({ timeout: 30_000 });
  const loaded = page.waitForEvent('load');
  await page.getByRole('button', { name: 'Update now' }).click();
  await loaded;
  await expect(page.getByRole('heading', { name: 'Case' })).toBeVisible();
  await expect(notice).toHaveCount(0);
  await context.close();
  server.close();
});
