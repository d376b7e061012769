import { familyById, phraseExercise, type Exercise, type FamilyId } from '@inner-hum/core/exercise';
import { hornById, writtenMidi } from '@inner-hum/core/horn';
import type { SheetLine } from '@inner-hum/core/plan';
import { runRow } from '@inner-hum/core/verdicts';
import { beforeEach, expect, it } from 'vitest';
import { database, wallClock, type TakeRecord } from '../storage/index.ts';
import { TEST_TAKE, testContext } from '../storage/testTake.ts';
import { takesOfLine } from './takesOfLine.ts';
import { emptyDatabaseInTests } from '../storage/emptyDatabaseInTests.ts';

beforeEach(emptyDatabaseInTests);

const NOON = new Date(2026, 4, 5, 12).getTime();
const { day } = wallClock(NOON);
const settings = { source: 'microphone', hornId: 'alto' } as const;

function takeOf(
  id: string,
  family: FamilyId,
  minutes: number,
  change: Partial<TakeRecord> = {},
  exercise?: Exercise,
) {
  const { written, analysis } = runRow(
    { family, hornId: 'alto', played: 'as written', wanted: 'passes' },
    'truth',
  );
  const startedAt = NOON + 60_000 * minutes;
  const context = testContext(exercise ?? written);
  return {
    ...TEST_TAKE,
    id,
    state: 'kept' as const,
    startedAt,
    ...wallClock(startedAt),
    context,
    analysis,
    ...change,
  };
}

const line = (change: Partial<SheetLine>): SheetLine =>
  ({
    key: 'a',
    familyAndZone: 'a',
    family: null,
    exerciseId: null,
    item: null,
    seconds: 60,
    reason: { kind: 'free' },
    ...change,
  }) as SheetLine;
const idsOf = async (asked: SheetLine) => (await takesOfLine(asked, day, settings)).map(({ id }) => id);

it('finds what a line came to: its newest round as it was played, or its newest take alone', async () => {
  await database().takes.bulkAdd([
    takeOf('first', 'longHold', 0),
    takeOf('round 1', 'longHold', 2, { roundId: 'r' }),
    takeOf('round 2', 'longHold', 3, { roundId: 'r', phrase: 1 }),
    takeOf('swell', 'swell', 4),
    takeOf('simulated', 'longHold', 5, { source: 'standIn' }),
    takeOf('not judged', 'longHold', 6, { analysis: null }),
    takeOf('deleted', 'longHold', 7, { deletedAt: 1 }),
    takeOf('yesterday', 'quietDescent', -2000),
  ]);
  expect(await idsOf(line({ family: 'longHold' }))).toEqual(['round 1', 'round 2']);
  expect(await idsOf(line({ family: 'swell' }))).toEqual(['swell']);
  expect(await idsOf(line({ family: 'quietDescent' }))).toEqual([]);
  expect(await idsOf(line({}))).toEqual([]);
});

it('asks for the note of the line, by what is fingered, and for the own exercise by its place on the Shelf', async () => {
  const written = familyById('overtoneHits')?.build(hornById('alto'), { note: 60 });
  const hits = written && phraseExercise(written, 0);
  const own = hits && { ...hits, family: null, shelfId: 'mine' };
  await database().takes.bulkAdd([
    takeOf('hits', 'overtoneHits', 0, {}, hits),
    takeOf('own', 'overtoneHits', 1, {}, own),
  ]);
  const onNote = (midi: number) =>
    line({ family: 'overtoneHits', item: { midi: writtenMidi(midi) } as SheetLine['item'] });
  expect(await idsOf(onNote(60))).toEqual(['hits']);
  expect(await idsOf(onNote(61))).toEqual([]);
  expect(await idsOf(line({ exerciseId: 'mine' }))).toEqual(['own']);
  expect(await idsOf(line({ exerciseId: 'another' }))).toEqual([]);
});
