import { BlobReader, BlobWriter, TextReader, ZipReader, ZipWriter } from './zip.ts';
import * as fc from 'fast-check';
import { expect, it } from 'vitest';
import { buildSwell } from '@inner-hum/core/exercise';
import { FrameTrack, listenTo } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import { createRandom, roundToSteps } from '@inner-hum/core/signal';
import {
  changeSettings,
  database,
  DATABASE_VERSION,
  EVERYTHING,
  finishTake,
  loadSamples,
  OWN_TABLES,
  storeTake,
  wallClock,
  writePlayerNote,
  type Choice,
  type TakeRecord,
} from '../storage/index.ts';
import { TEST_TAKE } from '../storage/testTake.ts';
import { newManifest } from './archiveFormat.ts';
import { openArchive, restore, writeArchive, type OpenedArchive } from './index.ts';
import { emptyDatabaseInTests } from '../storage/emptyDatabaseInTests.ts';

const NOW = new Date(2026, 10, 25, 12).getTime();
const RATE = 8000;
/** Cases of the property that takes longest. */
const CASES = Number(process.env.ARCHIVE_CASES ?? 12);
const on = new AbortController().signal;
const quiet = () => undefined;

/** Another place: an empty browser. */
const elsewhere = emptyDatabaseInTests;

const exercise = buildSwell({
  note: writtenMidi(67),
  shape: 'growFade',
  beats: 4,
  tempoBpm: 60,
  start: 'countIn',
});

function take(id: string, startedAt: number, change: Partial<TakeRecord> = {}): TakeRecord {
  return {
    ...TEST_TAKE,
    id,
    state: 'kept',
    kind: 'free',
    startedAt,
    ...wallClock(startedAt),
    sampleRateHz: RATE,
    lengthSeconds: 0.1,
    playingLoad: { playedSeconds: 1, highSeconds: 0, loudSeconds: 0 },
    ...change,
  };
}

function sound(seed: number, onSteps: boolean): Float32Array<ArrayBuffer> {
  const random = createRandom(seed);
  const samples = Float32Array.from({ length: RATE / 10 }, () => random.uniform() - 0.5);
  if (onSteps) roundToSteps(samples);
  return samples;
}

/** Some weeks of a player who does a little of everything. */
async function fill(seed: number, takes: number): Promise<void> {
  const random = createRandom(seed);
  const db = database();
  for (let i = 0; i < takes; i++) {
    const samples = sound(seed + i, random.uniform() < 0.7);
    const startedAt = NOW - Math.floor(random.uniform() * 40) * 86_400_000 - i * 1000;
    const note = random.uniform() < 0.3 ? '=cmd()\n"quoted", ünïcode' : '';
    const record = take(`t${seed}-${i}`, startedAt, { playerNote: note, roundId: i % 3 === 0 ? 'r1' : null });
    await storeTake({ record, samples, columns: listenTo(samples, RATE).slice(0) });
  }
  await db.rounds.put({ id: 'r1', startedAt: NOW, hornId: 'alto', exercise, address: '/stand/swell' });
  await db.exercises.put({ id: 'e1', exercise, createdAt: 1, changedAt: 5, deletedAt: null });
  await db.dayNotes.put({ day: '2026-11-20', text: 'cold room', temperatureC: 17.5 });
  await db.reeds.put({
    id: 'reed',
    hornId: 'alto',
    kind: 'cane, 2',
    name: 'no. 1',
    createdAt: 1,
    retiredAt: null,
    remarks: [{ at: 3, how: 'well', text: 'sings' }],
  });
  await changeSettings({ visited: true, hornId: 'tenor', a4Hz: 442 });
}

async function archive(choice: Choice = EVERYTHING): Promise<Blob> {
  const zip = new ZipWriter(new BlobWriter());
  await writeArchive(zip, choice, NOW, quiet, on);
  return zip.close();
}

async function opened(file: Blob): Promise<OpenedArchive> {
  const archive = await openArchive(file);
  if (typeof archive === 'string') throw new Error(archive);
  return archive;
}

/** All that is the player's, and what is made of it, with the sound as samples. */
async function everything() {
  const db = database();
  const rows: Record<string, unknown> = {};
  for (const table of [...OWN_TABLES, 'frames', 'practiceDays', 'tendencyDays'])
    rows[table] = await db.table(table).toArray();
  const samples: Record<string, Float32Array> = {};
  for (const { id } of await db.takes.toArray()) samples[id] = await loadSamples(id);
  return { ...rows, samples };
}

it('brings everything back to an empty place, and merging it again changes nothing', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 0, max: 1e6 }),
      fc.integer({ min: 0, max: 6 }),
      async (seed, takes) => {
        elsewhere();
        await fill(seed, takes);
        const before = await everything();
        const file = await archive();
        elsewhere();
        const first = await restore(await opened(file), 'merge', quiet, on);
        expect(first).toMatchObject({ damaged: [], takes: { added: takes, changed: 0, same: 0 } });
        expect(await everything()).toEqual(before);
        const again = await restore(await opened(file), 'merge', quiet, on);
        expect(again.takes).toEqual({ added: 0, changed: 0, same: takes });
        expect(again.rows).toMatchObject({ added: 0, changed: 0 });
        expect(await everything()).toEqual(before);
      },
    ),
    { numRuns: CASES },
  );
});

it('merges two places without losing a word, and replaces one by the other', async () => {
  elsewhere();
  await fill(1, 3);
  await writePlayerNote('t1-0', 'from the tablet');
  const file = await archive();
  const there = await everything();
  elsewhere();
  await fill(1, 4);
  await writePlayerNote('t1-0', 'from the desk');
  await database().dayNotes.put({ day: '2026-11-20', text: 'new pads', temperatureC: null });
  await database().exercises.update('e1', { changedAt: 9, 'exercise.name': 'Newer' });
  const here = await everything();
  await restore(await opened(file), 'merge', quiet, on);
  expect((await database().takes.get('t1-0'))?.playerNote).toBe('from the desk\nfrom the tablet');
  expect(await database().dayNotes.get('2026-11-20')).toMatchObject({
    text: 'new pads\ncold room',
    temperatureC: 17.5,
  });
  expect((await database().exercises.get('e1'))?.exercise.name).toBe('Newer');
  expect(await database().takes.count()).toBe(4);
  expect(await everything()).not.toEqual(here);
  const report = await restore(await opened(file), 'replace', quiet, on);
  expect(report).toMatchObject({ removed: 1, damaged: [] });
  expect(await everything()).toEqual(there);
});

it('takes along only what was chosen, and such an archive takes nothing away', async () => {
  elsewhere();
  const day = (text: string) => new Date(`${text}T12:00`).getTime();
  const columns = new FrameTrack(0).slice(0);
  for (const [id, at, hornId] of [
    ['a', day('2026-10-01'), 'alto'],
    ['b', day('2026-11-01'), 'alto'],
    ['c', day('2026-11-02'), 'tenor'],
  ] as const)
    await storeTake({ record: take(id, at, { hornId }), samples: sound(1, true), columns });
  const file = await archive({ from: '2026-11-01', to: null, hornId: 'alto', sound: false });
  const names = (await opened(file)).parts.map(({ name }) => name);
  expect(names.filter((name) => name.startsWith('takes/'))).toEqual([
    'takes/2026-11-01/b/take.json',
    'takes/2026-11-01/b/frames.bin',
  ]);
  await restore(await opened(file), 'replace', quiet, on);
  expect((await database().takes.toCollection().primaryKeys()).toSorted()).toEqual(['a', 'b', 'c']);
  expect((await loadSamples('b')).length).toBe(RATE / 10);
});

it('names each damaged part and brings back the rest', async () => {
  elsewhere();
  await fill(7, 3);
  const file = await archive();
  const whole = new Uint8Array(await file.arrayBuffer());
  const { parts } = await opened(file);
  for (const { name, entry, of } of parts) {
    if (of.kind === 'manifest') continue;
    const bad = whole.slice();
    const dataAt = entry.offset + 30 + name.length;
    bad[dataAt + Math.floor(entry.compressedSize / 2)] ^= 0x55;
    elsewhere();
    const { damaged, takes } = await restore(await opened(new Blob([bad])), 'replace', quiet, on);
    expect(damaged.map(({ part }) => part)).toEqual([name]);
    // A take's row cannot be made up; frames are heard again from its sound, and a take without sound is still one.
    expect(takes.added, name).toBe(name.endsWith('take.json') ? 2 : 3);
    if (name.endsWith('frames.bin'))
      expect(
        (await database().frames.get(of.kind === 'take' ? of.id : ''))?.columns.f0Hz.length,
      ).toBeGreaterThan(5);
  }
});

it('reads an archive that was cut short as far as it goes', async () => {
  elsewhere();
  await fill(3, 4);
  const file = await archive();
  const random = createRandom(11);
  let most = 0;
  for (let n = 0; n < 25; n++) {
    const cut = file.slice(0, Math.floor(random.uniform() * file.size));
    elsewhere();
    const found = await openArchive(cut);
    if (typeof found === 'string') continue;
    expect(found.cutShort).toBe(true);
    const { takes, damaged } = await restore(found, 'replace', quiet, on);
    expect(takes.added + damaged.length).toBeLessThanOrEqual(5);
    most = Math.max(most, takes.added);
  }
  expect(most).toBeGreaterThan(2);
});

/** A ZIP of texts. */
async function zipOf(texts: Record<string, string>): Promise<Blob> {
  const zip = new ZipWriter(new BlobWriter());
  for (const [name, text] of Object.entries(texts)) await zip.add(name, new TextReader(text));
  return zip.close();
}

it('refuses what is no archive, and changes nothing for rows that are not to be trusted', async () => {
  const manifest = newManifest(EVERYTHING, 0, NOW);
  const row = JSON.stringify(take('x', NOW));
  expect(await openArchive(new Blob([]))).toBe('empty');
  expect(await openArchive(new Blob(['RIFF....WAVE']))).toBe('noArchive');
  expect(
    await openArchive(await zipOf({ 'inner-hum.json': JSON.stringify(manifest), 'takes/../../x': row })),
  ).toBe('noArchive');
  expect(await openArchive(await zipOf({ 'story.json': '{}' }))).toBe('noArchive');
  expect(
    await openArchive(await zipOf({ 'inner-hum.json': JSON.stringify({ ...manifest, version: 2 }) })),
  ).toBe('newer');
  const newer = { ...manifest, databaseVersion: DATABASE_VERSION + 1 };
  expect(await openArchive(await zipOf({ 'inner-hum.json': JSON.stringify(newer) }))).toBe('newer');
  const bad: Record<string, string> = {
    'takes/2026-11-25/y/take.json': row,
    'takes/2026-11-25/z/take.json': row.replace('"x"', '"z"').replace('"alto"', '"kazoo"'),
    'takes/2026-11-25/u/take.json': row
      .replace('"x"', '"u"')
      .replace('"startedAt":', '"startedAt":1e999,"was":'),
    'takes/2026-11-25/v/take.json': `{"__proto__":{"admin":true},${row.slice(1).replace('"x"', '"v"')}`,
    'takes/2026-11-25/w/take.json': `${'['.repeat(100_000)}${']'.repeat(100_000)}`,
    'tables/rounds-1.json': '[{"id":"<script>"}]',
    'tables/reeds-1.json': '{"not":"a list"}',
    'tables/aims-1.json': '[null, 3, "text"]',
    'tables/dayNotes-1.json': ' '.repeat(60_000_000),
  };
  elsewhere();
  await changeSettings({ visited: true });
  const before = await everything();
  const file = await zipOf({ 'inner-hum.json': JSON.stringify(manifest), ...bad });
  const { damaged, takes } = await restore(await opened(file), 'replace', quiet, on);
  expect(takes.added).toBe(0);
  expect(await everything()).toEqual(before);
  expect(({} as { admin?: boolean }).admin).toBeUndefined();
  expect(new Set(damaged.map(({ part }) => part)).size).toBe(Object.keys(bad).length);
  for (const { why } of damaged) expect(why.text.length).toBeGreaterThan(10);
});

it('brings rows of an older version up to date', async () => {
  elsewhere();
  const { day: _day, clock: _clock, reedId: _reed, playingLoad: strain, ...rest } = take('old', NOW);
  const old = { ...rest, strain };
  const manifest = { ...newManifest(EVERYTHING, 1, NOW), databaseVersion: 7 };
  const file = await zipOf({
    'inner-hum.json': JSON.stringify(manifest),
    'takes/2026-11-25/old/take.json': JSON.stringify(old),
  });
  expect(await restore(await opened(file), 'merge', quiet, on)).toMatchObject({
    damaged: [],
    takes: { added: 1 },
  });
  expect(await database().takes.get('old')).toMatchObject({ reedId: '', ...wallClock(NOW) });
});

it('stops when it is told to, between two takes', async () => {
  elsewhere();
  await fill(5, 4);
  const file = await archive();
  const stop = new AbortController();
  elsewhere();
  await expect(
    restore(await opened(file), 'replace', (done) => void (done === 2 && stop.abort()), stop.signal),
  ).rejects.toThrow();
  await finishTake(take('mine', NOW), new FrameTrack(0).slice(0));
  expect(await database().takes.get('mine')).toBeDefined();
});

it('is written whatever rows there are: what cannot be read goes along as it is, and the rest comes back', async () => {
  elsewhere();
  await fill(9, 2);
  const db = database();
  const good = { ...(await db.takes.get('t9-0')), day: '2026-11-25' };
  const odd: object[] = [
    { ...good, id: 'no-day', day: undefined },
    { ...good, id: '../../up', day: '2026-11-24' },
    { ...good, id: 'no-note', playerNote: undefined },
    { ...good, id: 'no-frames' },
  ];
  await (db.takes as unknown as { bulkPut(rows: object[]): Promise<unknown> }).bulkPut(odd);
  await db.frames.put({ takeId: 'no-frames', columns: { f0Hz: 'gone' } } as never);
  await db.dayNotes.put({ day: '2026-11-23', text: 42 } as never);
  await db.quarantine.put({
    id: 'takes/"x"',
    table: 'takes',
    why: 'odd',
    quarantinedAt: 1,
    row: { id: 'x' },
  });

  const zip = new ZipWriter(new BlobWriter());
  const written = await writeArchive(zip, EVERYTHING, NOW, quiet, on);
  const file = await zip.close();
  // What has no place of its own is beside the rest; what has one is told when it comes back.
  expect(written.damaged).toBe(4);
  const names = (await new ZipReader(new BlobReader(file)).getEntries()).map(({ filename }) => filename);
  expect(names.filter((name) => name.startsWith('damaged/')).length).toBe(4);
  expect(names.every((name) => !name.includes('..'))).toBe(true);
  elsewhere();
  const { takes, damaged } = await restore(await opened(file), 'merge', quiet, on);
  expect(damaged.map(({ part }) => part)).toEqual([
    'tables/dayNotes-1.json',
    'takes/2026-11-25/no-note/take.json',
  ]);
  expect(takes.added).toBe(3);
  expect((await database().takes.toCollection().primaryKeys()).toSorted()).toEqual([
    'no-frames',
    't9-0',
    't9-1',
  ]);
});
