import { runRow } from '@inner-hum/core/verdicts';
import { beforeEach, expect, it } from 'vitest';
import {
  database,
  deleteTake,
  pastOf,
  undoDelete,
  wallClock,
  writePlayerNote,
  type TakeRecord,
} from './index.ts';
import { TEST_TAKE, testContext } from './testTake.ts';
import { emptyDatabaseInTests } from './emptyDatabaseInTests.ts';

beforeEach(emptyDatabaseInTests);

const held = (beats: number, note = 67) =>
  runRow(
    { family: 'longHold', hornId: 'alto', choices: { beats, note }, played: 'as written', wanted: 'passes' },
    'truth',
  );

/** A kept long hold of so many beats at 60, begun at a moment (s). */
function takeOf(
  id: string,
  atSeconds: number,
  beats: number,
  change: Partial<TakeRecord> = {},
  note = 67,
): TakeRecord {
  const { written, analysis } = held(beats, note);
  return {
    ...TEST_TAKE,
    id,
    state: 'kept',
    startedAt: 1000 * atSeconds,
    ...wallClock(1000 * atSeconds),
    lengthSeconds: beats,
    context: testContext(written),
    analysis,
    ...change,
  };
}

const past = async (take: TakeRecord) => (await pastOf([take])).map(Math.round);

it('reads what was held before on this note with this set-up, oldest first, and nothing else', async () => {
  const now = takeOf('now', 100, 9);
  await database().takes.bulkAdd([
    takeOf('second', 20, 12),
    takeOf('first', 10, 10),
    takeOf('another note', 30, 14, {}, 69),
    takeOf('another reed', 31, 14, { reedKind: 'stiff' }),
    takeOf('another mouthpiece', 32, 14, { mouthpieceId: 'alto.second' }),
    takeOf('simulated', 33, 14, { source: 'standIn' }),
    takeOf('running', 34, 14, { state: 'recording' }),
    takeOf('not judged', 35, 14, { analysis: null }),
    takeOf('later', 200, 14),
    now,
  ]);
  expect(await past(now)).toEqual([10, 12]);
  // A new reed of the same kind is the same set-up.
  expect(await past({ ...now, reedId: 'fresh' })).toEqual([10, 12]);
});

it('forgets what is deleted, and knows it again when it comes back', async () => {
  const now = takeOf('now', 100, 9);
  await database().takes.bulkAdd([takeOf('first', 10, 10), takeOf('second', 20, 12), now]);
  await deleteTake('second', 1);
  expect(await past(now)).toEqual([10]);
  await undoDelete('second');
  await writePlayerNote('first', 'a cold room');
  expect(await past(now)).toEqual([10, 12]);
});

it('compares a round with what was before its first take, where its takes are of one note', async () => {
  const [one, two] = [takeOf('one', 100, 9), takeOf('two', 120, 11)];
  await database().takes.bulkAdd([takeOf('first', 10, 10), one, two]);
  expect((await pastOf([one, two])).map(Math.round)).toEqual([10]);
  expect((await pastOf([two])).map(Math.round)).toEqual([10, 9]);
  expect(await pastOf([one, takeOf('other', 130, 11, {}, 69)])).toEqual([]);
  expect(await pastOf([])).toEqual([]);
});
