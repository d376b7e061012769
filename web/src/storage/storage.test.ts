import { isMainThread } from 'node:worker_threads';
import { beforeEach, expect, it } from 'vitest';
import { FrameTrack } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import {
  DEFAULT_SETTINGS,
  addMouthpiece,
  addReed,
  appendChunk,
  beginTake,
  changeSettings,
  changeSheet,
  database,
  decideOn,
  deleteTake,
  dueChecks,
  finishTake,
  firstMouthpiece,
  gearOf,
  lineDone,
  listMouthpieces,
  listQuarantine,
  listPractice,
  listPlayedReeds,
  letSoundGo,
  newestTakes,
  loadSamples,
  mouthpieceOf,
  packTakeSound,
  preferredFingerings,
  purgeDeleted,
  readCalibration,
  readSettings,
  readSheetOf,
  readTakeFrames,
  retireReed,
  saveCalibration,
  saveScale,
  storeTake,
  playingLoadSince,
  takesInParts,
  toggleFavourite,
  undoDelete,
  wallClock,
  unfinishedTakes,
  writePlayerNote,
  type HornCheckRecord,
  type TakeRecord,
} from './index.ts';
import { checkRows, putRowBack, setRowAside } from './checkRows.ts';
import { TEST_TAKE } from './testTake.ts';
import { emptyDatabaseInTests } from './emptyDatabaseInTests.ts';

beforeEach(emptyDatabaseInTests);

const record = TEST_TAKE;

it('gives back the sound of an unfinished take up to the first missing part', async () => {
  await beginTake(record);
  for (const index of [1, 0, 3]) await appendChunk('a', index, Float32Array.of(index, index));
  await appendChunk('b', 0, Float32Array.of(9));
  expect((await unfinishedTakes()).map(({ id }) => id)).toEqual(['a']);
  expect(await loadSamples('a')).toEqual(Float32Array.of(0, 0, 1, 1));
  expect(await newestTakes(1000)).toEqual([]);
});

it('deletes with undo for a day, then erases everything of the take', async () => {
  await beginTake(record);
  await appendChunk('a', 0, Float32Array.of(1));
  await finishTake({ ...record, state: 'kept' }, new FrameTrack(4).slice(0));
  await deleteTake('a', 5000);
  expect(await newestTakes(1000)).toHaveLength(0);
  await undoDelete('a');
  expect(await newestTakes(1000)).toHaveLength(1);
  await deleteTake('a', 5000);
  await purgeDeleted(5000 + 23 * 3600_000);
  expect(await database().chunks.count()).toBe(1);
  await purgeDeleted(5000 + 25 * 3600_000);
  expect(await database().chunks.count()).toBe(0);
  expect(await readTakeFrames('a')).toBeNull();
});

it('reads damaged settings as their defaults, field by field', async () => {
  await changeSettings({ hornId: 'tenor', a4Hz: 442 });
  await database().settings.update('settings', { a4Hz: 9000 as number, theme: 'neon' as 'stage' });
  expect(await readSettings()).toEqual({ ...DEFAULT_SETTINGS, hornId: 'tenor' });
});

it('counts a day and a reed by the takes that are there, whatever comes and goes', async () => {
  await addReed('alto', 'cane, 2', 'no. 1', 1);
  const [{ reed }] = await listPlayedReeds('alto');
  expect(gearOf(await readSettings())).toMatchObject({ reedId: reed.id, reedKind: 'cane, 2' });
  const at = new Date(2026, 2, 14, 23, 50).getTime();
  const take = (id: string, startedAt: number, reedId = reed.id): TakeRecord => ({
    ...record,
    id,
    state: 'kept',
    kind: 'free',
    startedAt,
    ...wallClock(startedAt),
    reedId,
    playingLoad: { playedSeconds: 60, highSeconds: 0, loudSeconds: 0 },
  });
  const columns = new FrameTrack(1).slice(0);
  for (const [id, startedAt] of [
    ['a', at],
    ['b', at + 60_000],
    // After midnight.
    ['c', at + 3600_000],
  ] as const)
    await finishTake(take(id, startedAt), columns);
  await finishTake(take('d', at, ''), columns);
  const minutes = async () =>
    (await listPractice('microphone', '2026-03-14', '2026-03-15')).map(
      ({ day, reedId, takes, freeSeconds }) => [day, reedId === '' ? 'none' : 'no. 1', takes, freeSeconds],
    );
  expect(await minutes()).toEqual([
    ['2026-03-14', 'none', 1, 60],
    ['2026-03-14', 'no. 1', 2, 120],
    ['2026-03-15', 'no. 1', 1, 60],
  ]);
  await deleteTake('b', at);
  await deleteTake('d', at);
  expect(await minutes()).toEqual([
    ['2026-03-14', 'no. 1', 1, 60],
    ['2026-03-15', 'no. 1', 1, 60],
  ]);
  await undoDelete('b');
  await writePlayerNote('b', 'stiff');
  expect((await listPractice('microphone', '2026-03-14', '2026-03-14'))[0].words).toBe('stiff');
  expect((await listPlayedReeds('alto'))[0]).toMatchObject({
    playedSeconds: 180,
    days: 2,
    lastDay: '2026-03-15',
  });
  await retireReed(reed, 2);
  expect(gearOf(await readSettings())).toMatchObject({ reedId: '', reedKind: '' });
});

it('counts what somebody else recorded as nobody’s practice', async () => {
  const columns = new FrameTrack(1).slice(0);
  const playingLoad = { playedSeconds: 60, highSeconds: 0, loudSeconds: 0 };
  const at = new Date(2026, 2, 14, 12).getTime();
  const kept = {
    ...record,
    state: 'kept' as const,
    kind: 'free' as const,
    startedAt: at,
    ...wallClock(at),
    playingLoad,
  };
  await finishTake({ ...kept, id: 'other', kind: 'other' }, columns);
  expect(await listPractice('microphone', '2026-03-01', '2026-03-31')).toEqual([]);
  await finishTake({ ...kept, id: 'own' }, columns);
  await finishTake({ ...kept, id: 'another', kind: 'other' }, columns);
  expect(await listPractice('microphone', '2026-03-01', '2026-03-31')).toMatchObject([
    { takes: 1, playedSeconds: 60 },
  ]);
});

it('adds up the load of one kind of player, from one moment to another', async () => {
  const columns = new FrameTrack(1).slice(0);
  const played = async (id: string, startedAt: number, source: TakeRecord['source'], seconds: number) => {
    const playingLoad = { playedSeconds: seconds, highSeconds: seconds / 10, loudSeconds: seconds / 5 };
    await finishTake(
      { ...record, id, state: 'kept', kind: 'free', startedAt, ...wallClock(startedAt), source, playingLoad },
      columns,
    );
  };
  await played('before', 999, 'microphone', 1000);
  await played('first', 1000, 'microphone', 10);
  await played('second', 2000, 'microphone', 20);
  await played('simulated', 1500, 'standIn', 500);
  await played('after', 3000, 'microphone', 40);
  expect(await playingLoadSince(1000, 'microphone')).toEqual({
    playedSeconds: 70,
    highSeconds: 7,
    loudSeconds: 14,
  });
  expect(await playingLoadSince(1000, 'microphone', 3000)).toEqual({
    playedSeconds: 30,
    highSeconds: 3,
    loudSeconds: 6,
  });
  expect(await playingLoadSince(1000, 'standIn')).toMatchObject({ playedSeconds: 500 });
});

it('reminds of a check when it is due, and of none that never was', () => {
  const now = new Date(2026, 5, 1).getTime();
  const every = { leakTest: 30, technician: 365 };
  const check = { id: '1', hornId: 'alto' as const, text: '' };
  expect(dueChecks([], every, now)).toEqual([]);
  expect(dueChecks([{ ...check, kind: 'leakTest', day: '2026-04-20' }], every, now)).toEqual([
    { kind: 'leakTest', daysAgo: 42 },
  ]);
  // Who repairs it looks for leaks as well.
  const both: HornCheckRecord[] = [
    { ...check, kind: 'repair', day: '2026-05-20' },
    { ...check, kind: 'leakTest', day: '2026-01-01' },
  ];
  expect(dueChecks(both, every, now)).toEqual([]);
  expect(dueChecks(both, { ...every, leakTest: null }, now)).toEqual([]);
});

it('loses no change of the settings where two come at once', async () => {
  await Promise.all(['swell', 'longHold', 'breakDrill'].map(toggleFavourite));
  expect((await readSettings()).favourites.toSorted()).toEqual(['breakDrill', 'longHold', 'swell']);
});

it('keeps one settled fingering a note and mouthpiece, and what was taken off stays off', async () => {
  const g6 = { mouthpieceId: firstMouthpiece('alto'), writtenMidi: writtenMidi(91) };
  await decideOn({ ...g6, fingering: 'oct.L2' }, { preferred: true }, 1);
  await decideOn({ ...g6, fingering: 'oct.L3' }, { preferred: true }, 2);
  await decideOn({ ...g6, writtenMidi: writtenMidi(93), fingering: 'oct.L2' }, { preferred: true }, 3);
  await decideOn({ ...g6, fingering: 'oct' }, { removed: true }, 4);
  expect([...(await preferredFingerings(g6.mouthpieceId))]).toEqual([
    [91, 'oct.L3'],
    [93, 'oct.L2'],
  ]);
  await decideOn({ ...g6, fingering: 'oct.L3' }, { removed: true, preferred: false }, 5);
  expect((await preferredFingerings(g6.mouthpieceId)).has(91)).toBe(false);

  expect((await listMouthpieces('alto')).map(({ name }) => name)).toEqual(['']);
  await addMouthpiece('alto', 'the wide one', 6);
  expect((await listMouthpieces('alto')).map(({ name }) => name)).toEqual(['', 'the wide one']);
  const worn = mouthpieceOf(await readSettings());
  expect(worn).not.toBe(g6.mouthpieceId);
  expect([...(await preferredFingerings(worn))]).toEqual([]);
  expect(mouthpieceOf({ ...(await readSettings()), hornId: 'tenor' })).toBe('tenor.first');
});

it('keeps a day’s sheet as it was planned once something was changed, and the next day begins a new one like it', async () => {
  const morning = new Date(2026, 2, 14, 8).getTime();
  const fresh = await readSheetOf(morning);
  expect(fresh).toMatchObject({ day: '2026-03-14', minutes: 10, done: [] });
  await changeSheet(fresh, { minutes: 20, aim: 'low' });
  await lineDone(fresh, 'longHold/low');
  await lineDone(fresh, 'longHold/low');
  expect(await readSheetOf(morning + 10 * 3600_000)).toMatchObject({
    plannedAt: morning,
    minutes: 20,
    aim: 'low',
    done: ['longHold/low'],
  });
  expect(await readSheetOf(morning + 24 * 3600_000)).toMatchObject({
    day: '2026-03-15',
    minutes: 20,
    aim: 'low',
    done: [],
  });
});

// A thread has no time zone of its own to set.
it.runIf(isMainThread)(
  'keeps a take on the day it was played on, whatever clock looks at it later, and in the order of the days',
  async () => {
    const home = process.env.TZ;
    const columns = new FrameTrack(1).slice(0);
    const play = async (id: string, zone: string, startedAt: number) => {
      process.env.TZ = zone;
      const playingLoad = { playedSeconds: 60, highSeconds: 0, loudSeconds: 0 };
      await finishTake(
        { ...record, id, state: 'kept', kind: 'free', playingLoad, startedAt, ...wallClock(startedAt) },
        columns,
      );
    };
    try {
      // Half past eleven at night in New York; an hour later, on another day, in Tokyo; then back over the date line.
      await play('york', 'America/New_York', Date.UTC(2026, 2, 15, 3, 30));
      await play('tokyo', 'Asia/Tokyo', Date.UTC(2026, 2, 15, 4, 30));
      await play('honolulu', 'Pacific/Honolulu', Date.UTC(2026, 2, 15, 5, 30));
      // The clock is set back in the autumn: the same hour twice.
      await play('first', 'Europe/Rome', Date.UTC(2026, 9, 25, 0, 45));
      await play('second', 'Europe/Rome', Date.UTC(2026, 9, 25, 1, 15));
      const told = () =>
        newestTakes(1000).then((takes) => takes.map(({ id, day, clock }) => `${id} ${day} ${clock}`));
      const expected = [
        'second 2026-10-25 02:15',
        'first 2026-10-25 02:45',
        'tokyo 2026-03-15 13:30',
        'honolulu 2026-03-14 19:30',
        'york 2026-03-14 23:30',
      ];
      expect(await told()).toEqual(expected);
      process.env.TZ = 'Europe/Rome';
      await deleteTake('york', Date.now());
      await undoDelete('york');
      expect(await told()).toEqual(expected);
      const days = await listPractice('microphone', '2026-03-01', '2026-12-31');
      expect(days.map(({ day, takes, playedSeconds }) => [day, takes, playedSeconds])).toEqual([
        ['2026-03-14', 2, 120],
        ['2026-03-15', 1, 60],
        ['2026-10-25', 2, 120],
      ]);
    } finally {
      process.env.TZ = home;
    }
  },
);

it('packs the sound of a take without losing a sample, once, and leaves one that is being recorded alone', async () => {
  const samples = Float32Array.from(
    { length: 3000 },
    (_, n) => Math.round(2 ** 20 * Math.sin(n / 9)) / 2 ** 23,
  );
  await storeTake({ record: { ...record, state: 'kept' }, samples, columns: new FrameTrack(1).slice(0) });
  await beginTake({ ...record, id: 'b' });
  await appendChunk('b', 0, samples);
  expect(await takesInParts()).toEqual(['a']);
  await Promise.all([packTakeSound('a'), packTakeSound('a'), packTakeSound('b')]);
  expect(await takesInParts()).toEqual([]);
  expect(await database().chunks.count()).toBe(1);
  const sound = await database().sounds.get('a');
  expect(sound?.flac?.byteLength).toBeLessThan(samples.byteLength / 2);
  expect(await loadSamples('a')).toEqual(samples);
  await letSoundGo(['a']);
  expect(await loadSamples('a')).toHaveLength(0);
  expect((await newestTakes(1000)).map(({ id }) => id)).toEqual(['a']);
});

it('puts two broken takes of one day aside, and makes the day of those that are left', async () => {
  const columns = new FrameTrack(1).slice(0);
  for (const id of ['a', 'b', 'c']) await finishTake({ ...record, id, state: 'kept', kind: 'free' }, columns);
  const broken = { context: { exercise: 'gone' }, analysis: { items: 3 } } as unknown as Partial<TakeRecord>;
  for (const id of ['a', 'b']) await database().takes.update(id, broken);
  expect(await checkRows(5)).toBe(2);
  expect((await listQuarantine()).map(({ table, id }) => [table, id])).toEqual([
    ['takes', 'takes/"a"'],
    ['takes', 'takes/"b"'],
  ]);
  expect((await newestTakes(1000)).map(({ id }) => id)).toEqual(['c']);
  expect((await listPractice('microphone', record.day, record.day))[0].takes).toBe(1);
  expect(await checkRows(6)).toBe(0);
});

it('sets a row aside that a room could not show, and puts it back as it was; what no room can read stays aside', async () => {
  const columns = new FrameTrack(1).slice(0);
  for (const id of ['a', 'b']) await finishTake({ ...record, id, state: 'kept', kind: 'free' }, columns);
  const before = await database().takes.get('a');
  const day = await listPractice('microphone', record.day, record.day);
  expect(await setRowAside('takes', 'a', 5)).toBe(true);
  expect(await setRowAside('takes', 'gone', 5)).toBe(false);
  expect((await newestTakes(1000)).map(({ id }) => id)).toEqual(['b']);
  expect((await listPractice('microphone', record.day, record.day))[0].takes).toBe(1);
  expect(await putRowBack('takes/"a"')).toBeNull();
  expect(await database().takes.get('a')).toEqual(before);
  expect(await listPractice('microphone', record.day, record.day)).toEqual(day);
  expect(await listQuarantine()).toEqual([]);
  await database().takes.update('b', { playerNote: 4 } as never);
  expect(await checkRows(6)).toBe(1);
  expect(await putRowBack('takes/"b"')).toMatch(/^playerNote/);
  expect(await putRowBack('takes/"c"')).toMatch(/no table/);
  expect((await listQuarantine()).map(({ id }) => id)).toEqual(['takes/"b"']);
});

it('puts a scale that was heard in the place of the one before, and keeps the room and the delay that were measured', async () => {
  const scale = { floorDb: -44, ceilingDb: -18, source: 'calibrated' } as const;
  await saveScale(scale);
  expect(await readCalibration()).toMatchObject({ scale, roomFloorDb: null, roundTripSeconds: null });
  const measured = { roomFloorDb: -70, roundTripSeconds: 0.03 };
  const aMoment = () => new Promise((done) => setTimeout(done, 5));
  await aMoment();
  await saveCalibration({ scale: null, ...measured });
  const later = { ...scale, floorDb: -50 };
  await aMoment();
  await saveScale(later);
  expect(await readCalibration()).toMatchObject({ scale: later, ...measured });
});
