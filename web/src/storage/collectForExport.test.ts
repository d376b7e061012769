import type { Exercise } from '@inner-hum/core/exercise';
import { FrameTrack } from '@inner-hum/core/hearing';
import { writtenOf } from '@inner-hum/core/verdicts';
import { beforeEach, describe, expect, it } from 'vitest';
import {
  collectRows,
  collectTake,
  collectTakes,
  collectUnplaced,
  EVERYTHING,
  isWhole,
  type Choice,
} from './collectForExport.ts';
import { database } from './database.ts';
import { emptyDatabaseInTests } from './emptyDatabaseInTests.ts';
import type { TakeRecord } from './records.ts';
import { TEST_TAKE, testContext } from './testTake.ts';

beforeEach(emptyDatabaseInTests);

const put = (table: string, ...rows: object[]) => database().table(table).bulkPut(rows);
const take = (id: string, day: string, change: Partial<TakeRecord> = {}): TakeRecord => ({
  ...TEST_TAKE,
  id,
  day,
  state: 'kept',
  startedAt: Number(day.slice(-2)) * 1000,
  ...change,
});
/** A drill as it is written, and what a take of it says: by its exercise it is found on the shelf. */
function judgedOf(change: Partial<Exercise>): Partial<TakeRecord> {
  const exercise = { ...writtenOf({ family: 'swell', hornId: 'alto' }), ...change };
  return { context: testContext(exercise), analysis: { items: [] } as unknown as TakeRecord['analysis'] };
}
const ids = (rows: readonly object[]) => rows.map((row) => (row as { id?: string }).id);
const choose = (change: Partial<Choice>): Choice => ({ ...EVERYTHING, ...change });
const report = (...shelf: string[]) => ({ taskId: 'asked', by: 'a pupil', shelf });

describe('the takes of a choice', () => {
  beforeEach(() =>
    put(
      'takes',
      take('3rd', '2026-05-03', { roundId: 'round', ...judgedOf({}) }),
      take('1st', '2026-05-01', { playerNote: 'reed is wet', ...judgedOf({ shelfId: 'mine' }) }),
      take('2nd', '2026-05-02', { hornId: 'tenor' }),
      take('running', '2026-05-02', { state: 'recording' }),
      take('gone', '2026-05-02', { deletedAt: 5 }),
    ),
  );

  it.each<[Partial<Choice>, string[]]>([
    [{}, ['1st', '2nd', '3rd']],
    [{ from: '2026-05-02' }, ['2nd', '3rd']],
    [{ to: '2026-05-02' }, ['1st', '2nd']],
    [{ from: '2026-05-02', to: '2026-05-02' }, ['2nd']],
    [{ hornId: 'tenor' }, ['2nd']],
    [{ hornId: 'alto', from: '2026-05-02' }, ['3rd']],
    [{ report: report('swell') }, ['3rd']],
    [{ report: report('swell', 'own.mine') }, ['1st', '3rd']],
    [{ report: report() }, []],
  ])('%j', async (change, wanted) => {
    expect(ids(await collectTakes(choose(change)))).toEqual(wanted);
  });

  it('says of each what an index of them needs', async () => {
    expect(await collectTakes(EVERYTHING)).toEqual([
      { id: '1st', day: '2026-05-01', roundId: null, letters: 11 },
      { id: '2nd', day: '2026-05-02', roundId: null, letters: 0 },
      { id: '3rd', day: '2026-05-03', roundId: 'round', letters: 0 },
    ]);
  });

  it('takes along with everything what no day finds and what was put aside, and with a part of it neither', async () => {
    await put('takes', { id: 'lost', state: 'kept' });
    await put('quarantine', { id: 'odd', table: 'takes' });
    const found = await collectTakes(EVERYTHING);
    const unplaced = await collectUnplaced(EVERYTHING, found);
    expect(unplaced.map(({ table, row }) => [table, (row as { id: string }).id])).toEqual([
      ['takes', 'lost'],
      ['quarantine', 'odd'],
    ]);
    for (const part of [{ sound: false }, { from: '2026-01-01' }, { report: report('swell') }])
      expect(await collectUnplaced(choose(part), found)).toEqual([]);
  });
});

it('a choice is whole where it leaves nothing out', () => {
  expect(isWhole(EVERYTHING)).toBe(true);
  const parts: Partial<Choice>[] = [
    { from: '2026-01-01' },
    { to: '2026-01-01' },
    { hornId: 'alto' },
    { sound: false },
    { report: report() },
  ];
  for (const part of parts) expect(isWhole(choose(part)), JSON.stringify(part)).toBe(false);
});

describe('one take', () => {
  it('goes with its frames, and without what it is found by here', async () => {
    await put('takes', take('a', '2026-05-01'));
    await put('frames', { takeId: 'a', columns: new FrameTrack(0).columns });
    const collected = await collectTake('a', true);
    expect(collected?.record).toEqual(take('a', '2026-05-01'));
    expect(collected?.columns?.f0Hz).toHaveLength(0);
    expect(collected?.sound).toBeNull();
  });

  it('is none where it has gone, and has no frames where none were stored', async () => {
    await put('takes', take('a', '2026-05-01'));
    expect(await collectTake('b', true)).toBeNull();
    expect((await collectTake('a', true))?.columns).toBeNull();
  });

  it('goes with what was recorded where that is asked for, packed without loss', async () => {
    const samples = Float32Array.from(
      { length: 4800 },
      (_, n) => Math.round(9000 * Math.sin(n / 9)) / 2 ** 23,
    );
    await put('takes', take('a', '2026-05-01', { sampleRateHz: 48000 }));
    await put('chunks', { takeId: 'a', index: 0, samples });
    expect((await collectTake('a', true))?.sound).toMatchObject({ takeId: 'a' });
    expect((await collectTake('a', false))?.sound).toBeNull();
  });
});

describe('the rows of a choice', () => {
  const of = [{ id: 'kept', roundId: 'with' }];

  it.each<[string, Partial<Choice>, string[]]>([
    ['nothing of what was deleted', {}, ['alto', 'anyHorn', 'tenor']],
    ['of a horn, and what is of no horn', { hornId: 'tenor' }, ['anyHorn', 'tenor']],
    ['of an aim nothing in a report', { report: report('swell') }, []],
  ])('%s', async (_, change, wanted) => {
    await put(
      'aims',
      { id: 'alto', hornId: 'alto', deletedAt: null },
      { id: 'tenor', hornId: 'tenor', deletedAt: null },
      { id: 'anyHorn' },
      { id: 'gone', hornId: 'tenor', deletedAt: 7 },
    );
    expect(ids(await collectRows('aims', choose(change), of))).toEqual(wanted);
  });

  it('of days those between the first and the last, both included', async () => {
    const days = ['2026-05-01', '2026-05-02', '2026-05-03', '2026-05-04'];
    await put('dayNotes', ...days.map((day) => ({ day, text: day, temperatureC: null })));
    const rows = await collectRows('dayNotes', choose({ from: '2026-05-02', to: '2026-05-03' }), of);
    expect(rows).toEqual(days.slice(1, 3).map((day) => ({ day, text: day, temperatureC: null })));
  });

  it('how the simulated player played goes with its take, a round with one of its takes, or with everything', async () => {
    await put('performances', { takeId: 'kept' }, { takeId: 'other' });
    await put('rounds', { id: 'with' }, { id: 'without' });
    expect(await collectRows('performances', EVERYTHING, of)).toEqual([{ takeId: 'kept' }]);
    expect(ids(await collectRows('rounds', EVERYTHING, of))).toEqual(['with', 'without']);
    expect(ids(await collectRows('rounds', choose({ hornId: 'alto' }), of))).toEqual(['with']);
  });

  it('a report has its own task and exercises, and of the rest only what takes are read by', async () => {
    await put('tasks', { id: 'asked' }, { id: 'another' });
    await put('exercises', { id: 'mine', createdAt: 1 }, { id: 'private', createdAt: 2 });
    await put('settings', { id: 'settings' });
    await put('reeds', { id: 'reed', hornId: 'alto' });
    await put('dayNotes', { day: '2026-05-01', text: 'none of their business', temperatureC: null });
    const choice = choose({ report: report('swell', 'own.mine') });
    const rows = async (table: Parameters<typeof collectRows>[0]) =>
      ids(await collectRows(table, choice, of));
    expect(await rows('tasks')).toEqual(['asked']);
    expect(await rows('exercises')).toEqual(['mine']);
    expect(await rows('settings')).toEqual(['settings']);
    expect(await rows('reeds')).toEqual([]);
    expect(await rows('dayNotes')).toEqual([]);
  });
});
