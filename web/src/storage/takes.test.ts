import { beforeEach, expect, it } from 'vitest';
import { FrameTrack } from '@inner-hum/core/hearing';
import {
  appendChunk,
  beginTake,
  database,
  deleteTake,
  finishTake,
  firstTakeSince,
  letSoundGo,
  playingLoadSince,
  purgeDeleted,
  readTake,
  recentJudged,
  recentLoudness,
  soundBefore,
  soundBytesPerMinute,
  takesAtRisk,
  takesOfDay,
  takesSince,
  undoDelete,
  wallClock,
  writeCall,
  writePlayerNote,
  type TakeRecord,
} from './index.ts';
import { TEST_TAKE } from './testTake.ts';
import { emptyDatabaseInTests } from './emptyDatabaseInTests.ts';

const DAY_MS = 86_400_000;
const NO_FRAMES = new FrameTrack(0).columns;
const NOON = new Date(2026, 4, 12, 12).getTime();

beforeEach(emptyDatabaseInTests);

const analysis = { items: [] } as unknown as TakeRecord['analysis'];
const loudness = { floorDb: -60 } as unknown as TakeRecord['loudness'];

async function keep(id: string, startedAt: number, change: Partial<TakeRecord> = {}) {
  const take = { ...TEST_TAKE, id, state: 'kept' as const, startedAt, ...wallClock(startedAt), ...change };
  await finishTake(take, NO_FRAMES);
  return take;
}
const ids = (takes: readonly TakeRecord[]) => takes.map(({ id }) => id);

it('lists the kept takes of a day of one player, newest first', async () => {
  await keep('early', NOON - 3000);
  await keep('late', NOON);
  await keep('other', NOON, { source: 'standIn' });
  await keep('gone', NOON, { deletedAt: NOON });
  await keep('running', NOON, { state: 'recording' });
  await keep('before', NOON - DAY_MS);
  await keep('after', NOON + DAY_MS);
  const { day } = wallClock(NOON);
  expect(ids(await takesOfDay(day, 'microphone'))).toEqual(['late', 'early']);
  expect(ids(await takesOfDay(day, 'standIn'))).toEqual(['other']);
});

it('reads a take, changes what the player says of it, and knows nothing of one that is not there', async () => {
  await keep('a', NOON);
  await writePlayerNote('a', 'Mundwinkel fest');
  await writeCall('a', { soft: 'flat' });
  expect(await readTake('a')).toMatchObject({
    playerNote: 'Mundwinkel fest',
    call: { soft: 'flat' },
    deletedAt: null,
  });
  expect(await readTake('nobody')).toBeNull();
  await expect(writePlayerNote('nobody', 'x')).resolves.toBeUndefined();
});

it('erases what was deleted a day ago, and not a moment sooner', async () => {
  await keep('a', NOON);
  await keep('b', NOON);
  await deleteTake('a', NOON);
  await deleteTake('b', NOON);
  await undoDelete('b');
  await purgeDeleted(NOON + DAY_MS);
  expect(await readTake('a')).not.toBeNull();
  await purgeDeleted(NOON + DAY_MS + 1);
  expect(await readTake('a')).toBeNull();
  expect(await readTake('b')).toMatchObject({ deletedAt: null });
});

it('gives the newest judged takes, and how loud they were, of one player; no more than are of use', async () => {
  for (let i = 0; i < 205; i++) await keep(`t${i}`, NOON + i, { analysis, loudness });
  await keep('unjudged', NOON + 300, {});
  await keep('gone', NOON + 301, { analysis, loudness, deletedAt: NOON });
  await keep('other', NOON + 302, { analysis, loudness, source: 'standIn' });
  const judged = ids(await recentJudged('microphone'));
  expect(judged).toHaveLength(200);
  expect(judged[0]).toBe('t204');
  expect(ids(await recentJudged('standIn'))).toEqual(['other']);
  expect(await recentLoudness('microphone')).toHaveLength(40);
  expect(await recentLoudness('standIn')).toEqual([loudness]);
});

it('adds up what tires, between two moments, and knows when playing began', async () => {
  const load = (playedSeconds: number) => ({ playedSeconds, highSeconds: 2, loudSeconds: 3 });
  await keep('before', NOON - 1, { playingLoad: load(100) });
  await keep('first', NOON, { playingLoad: load(10), deletedAt: NOON });
  await keep('second', NOON + 5, { playingLoad: load(20) });
  await keep('last', NOON + 10, { playingLoad: load(40) });
  await keep('other', NOON + 6, { playingLoad: load(80), source: 'standIn' });
  await keep('unknown', NOON + 7);
  expect(await playingLoadSince(NOON, 'microphone')).toEqual({
    playedSeconds: 70,
    highSeconds: 6,
    loudSeconds: 9,
  });
  // What was deleted tired as well; what begins at the end is of the time after.
  expect(await playingLoadSince(NOON, 'microphone', NOON + 10)).toMatchObject({ playedSeconds: 30 });
  expect(await playingLoadSince(NOON + 11, 'microphone')).toMatchObject({ playedSeconds: 0 });
  expect(await firstTakeSince(NOON, 'microphone')).toBe(NOON + 5);
  expect(await firstTakeSince(NOON + 6, 'standIn')).toBe(NOON + 6);
  expect(await firstTakeSince(NOON + 11, 'microphone')).toBeNull();
});

it('tells what a minute of sound takes by the newest sounds, in pieces or packed', async () => {
  expect(await soundBytesPerMinute()).toBeNull();
  await keep('silent', NOON);
  expect(await soundBytesPerMinute()).toBeNull();
  const sound = { sampleRateHz: 100, sampleCount: 1000, flac: null, samples: null };
  await keep('old', NOON - 100);
  await database().sounds.put({ ...sound, takeId: 'old', samples: new Float32Array(250_000) });
  for (let i = 0; i < 30; i++) {
    await keep(`t${i}`, NOON + i);
    const packed = i % 2 === 0;
    await database().sounds.put({
      ...sound,
      takeId: `t${i}`,
      flac: packed ? new Uint8Array(100) : null,
      samples: packed ? null : new Float32Array(75),
    });
  }
  // Ten seconds each: 100 bytes packed, 300 bytes as they are; the thirty-first is too old to count.
  expect(await soundBytesPerMinute()).toBeCloseTo((60 * 200) / 10);
});

it('finds the takes before a day that still have their sound, and lets it go without the takes', async () => {
  const yesterday = NOON - DAY_MS;
  const { day } = wallClock(NOON);
  await keep('whole', yesterday, { lengthSeconds: 4 });
  await keep('parts', yesterday, { lengthSeconds: 5 });
  await keep('running', yesterday, { lengthSeconds: 6, state: 'recording' });
  await keep('bare', yesterday, { lengthSeconds: 7 });
  await keep('today', NOON, { lengthSeconds: 8 });
  for (const takeId of ['whole', 'running', 'today'])
    await database().sounds.put({
      takeId,
      sampleRateHz: 8000,
      sampleCount: 1,
      flac: null,
      samples: new Float32Array(1),
    });
  for (const index of [0, 1]) await appendChunk('parts', index, new Float32Array(1));
  const found = await soundBefore(day);
  expect(found.takeIds.toSorted()).toEqual(['parts', 'whole']);
  expect(found.seconds).toBe(9);
  await letSoundGo(found.takeIds);
  expect(await soundBefore(day)).toEqual({ takeIds: [], seconds: 0 });
  expect(await database().sounds.get('today')).toBeDefined();
  expect(await database().chunks.count()).toBe(0);
  expect(await readTake('whole')).toMatchObject({ lengthSeconds: 4 });
});

it('speaks of takes at risk after a month without a copy, where they are more than a few', async () => {
  const month = 30 * DAY_MS;
  expect(await takesAtRisk(0, NOON)).toBe(0);
  for (let i = 0; i < 19; i++) await keep(`t${i}`, NOON + i);
  expect(await takesAtRisk(0, NOON + month)).toBe(0);
  await keep('twentieth', NOON + 19);
  expect(await takesAtRisk(0, NOON + month - 1)).toBe(0);
  expect(await takesAtRisk(0, NOON + month)).toBe(20);
  // Since the copy only those after it count.
  expect(await takesAtRisk(NOON + 5, NOON + 5 + month)).toBe(0);
  expect(await takesSince(NOON + 5)).toBe(14);
  for (let i = 20; i < 26; i++) await keep(`t${i}`, NOON + i);
  expect(await takesAtRisk(NOON + 5, NOON + 5 + month)).toBe(20);
  expect(await takesAtRisk(NOON + 5, NOON + month)).toBe(0);
});

it('keeps a take that ended while it was recorded', async () => {
  await beginTake({ ...TEST_TAKE, id: 'x' });
  await finishTake({ ...TEST_TAKE, id: 'x', state: 'kept', lengthSeconds: 3 }, NO_FRAMES);
  expect(await readTake('x')).toMatchObject({ state: 'kept', lengthSeconds: 3 });
});
