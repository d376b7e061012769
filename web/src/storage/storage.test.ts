import 'fake-indexeddb/auto';
import { format } from 'date-fns';
import Dexie from 'dexie';
import { beforeEach, expect, it } from 'vitest';
import { DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import { unpackNotes } from '@inner-hum/core/practice';
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
  listPractice,
  listPlayedReeds,
  listTakes,
  listTendencyDays,
  loadSamples,
  mouthpieceOf,
  openDatabase,
  preferredFingerings,
  purgeDeleted,
  readSettings,
  readSheetOf,
  readTakeFrames,
  retireReed,
  toggleFavourite,
  undoDelete,
  unfinishedTakes,
  writePlayerNote,
  type HornCheckRecord,
  type TakeRecord,
} from './index.ts';

let count = 0;
beforeEach(() => openDatabase(`test-${count++}`));

const record: TakeRecord = {
  id: 'a',
  state: 'recording',
  kind: 'exercise',
  roundId: null,
  phrase: 0,
  call: null,
  startedAt: 1000,
  hornId: 'alto',
  a4Hz: 440,
  scale: DEFAULT_SCALE,
  source: 'microphone',
  eyes: 'watch',
  sampleRateHz: 48000,
  lengthSeconds: 0,
  context: null,
  dueClickSeconds: [],
  foundClickSeconds: [],
  analysis: null,
  loudness: null,
  strain: null,
  mouthpieceId: 'alto.first',
  reedKind: '',
  reedId: '',
  playerNote: '',
  recovered: false,
  deletedAt: null,
};

it('gives back the sound of an unfinished take up to the first missing part', async () => {
  await beginTake(record);
  for (const index of [1, 0, 3]) await appendChunk('a', index, Float32Array.of(index, index));
  await appendChunk('b', 0, Float32Array.of(9));
  expect((await unfinishedTakes()).map(({ id }) => id)).toEqual(['a']);
  expect(await loadSamples('a')).toEqual(Float32Array.of(0, 0, 1, 1));
  expect(await listTakes()).toEqual([]);
});

it('deletes with undo for a day, then erases everything of the take', async () => {
  await beginTake(record);
  await appendChunk('a', 0, Float32Array.of(1));
  await finishTake({ ...record, state: 'kept' }, new FrameTrack(4).slice(0));
  await deleteTake('a', 5000);
  expect(await listTakes()).toHaveLength(0);
  await undoDelete('a');
  expect(await listTakes()).toHaveLength(1);
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

it('opens what an older version stored, with its figures under their new names', async () => {
  const old = new Dexie('old');
  old.version(1).stores({
    takes: 'id, state, startedAt',
    chunks: '[takeId+index], takeId',
    frames: 'takeId',
    settings: 'id',
    calibrations: 'id, madeAt',
  });
  const measures = { centsMean: -3, bendWithLevel: { centsPer10Db: -9, r2: 0.97 } };
  const item = {
    kind: 'note',
    writtenMidi: 67,
    lengthBeats: 4,
    dynamics: [
      { beat: 0, mark: 'pp' },
      { beat: 4, mark: 'ff' },
    ],
  };
  const exercise = { version: 1, tempoBpm: 60, beatsPerBar: 4, start: 'countIn', items: [item] };
  const analysis = {
    measures,
    events: [
      { type: 'toneOnset', timeSeconds: 0.6 },
      { type: 'end', timeSeconds: 4.5 },
    ],
    verdict: {
      findings: [{ kind: 'even' }],
      advice: 'addABeat',
      band: { pitchCents: 10, swellErrorDb: 2.5 },
    },
  };
  await old.table('takes').bulkAdd([
    {
      ...record,
      id: 'judged',
      kind: 'swell',
      state: 'kept',
      context: { exercise, scale: DEFAULT_SCALE },
      analysis,
    },
    { ...record, id: 'free', state: 'kept' },
  ]);
  await old.table('frames').add({ takeId: 'judged', columns: { f0Hz: Float32Array.of(220, NaN) } });
  old.close();
  openDatabase('old');
  const takes = await listTakes();
  expect(takes).toHaveLength(2);
  expect(takes.find(({ id }) => id === 'judged')?.analysis?.measures).toMatchObject({
    centsMean: -3,
    bendWithLevel: -9,
    bendWithLevelR2: 0.97,
    levelDb: null,
    responseMs: null,
  });
  const judged = takes.find(({ id }) => id === 'judged');
  expect(judged).toMatchObject({ kind: 'exercise', roundId: null, call: null });
  expect(judged?.context?.exercise.phrases[0].items[0]).toMatchObject({ writtenMidi: 67, attack: 'any' });
  expect(judged?.analysis?.items).toMatchObject([{ status: 'played', startSeconds: 0.6, endSeconds: 4.5 }]);
  expect(judged?.analysis?.verdict).toMatchObject({ of: [0], judged: 1, asWritten: 1 });
  expect(await readTakeFrames('judged')).toMatchObject({
    f0Hz: Float32Array.of(220, NaN),
    partialsDb: new Float32Array(32).fill(NaN),
  });
  // The fake take has no level: it counts for no pitch, but its day is there.
  expect((await listTendencyDays('alto.first|', 'microphone')).map(({ day }) => day)).toEqual([
    format(record.startedAt, 'yyyy-MM-dd'),
  ]);
  expect(judged).toMatchObject({ mouthpieceId: 'alto.first', reedId: '', strain: null });
  const day = format(record.startedAt, 'yyyy-MM-dd');
  const [practice] = await listPractice('microphone', day, day);
  expect(practice).toMatchObject({ day, takes: 2, playedSeconds: 0 });
  expect(unpackNotes(practice.notes)).toMatchObject([{ writtenMidi: 67, asWritten: true }]);
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
    reedId,
    strain: { playedSeconds: 60, highSeconds: 0, loudSeconds: 0 },
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
