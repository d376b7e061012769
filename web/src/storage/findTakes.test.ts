import fc from 'fast-check';
import { expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE, type Exercise } from '@inner-hum/core/exercise';
import { writtenMidi } from '@inner-hum/core/horn';
import {
  countTakes,
  database,
  deleteTake,
  findTakes,
  judgedOn,
  lastTakes,
  newestTakes,
  readTakes,
  shelfKey,
  takeChoices,
  takesFromNote,
  undoDelete,
  wallClock,
  writePlayerNote,
  type TakeRecord,
} from './index.ts';
import { emptyDatabaseInTests } from './emptyDatabaseInTests.ts';

const NOTES = [null, 58, 67, 71] as const;
const HORNS = ['alto', 'tenor'] as const;
const SOURCES = ['microphone', 'standIn'] as const;
const WORDS = ['', 'new reed', 'tired lip', 'new strap'];
const DAY_MS = 86_400_000;
const FIRST = new Date(2026, 2, 1, 12).getTime();

const exercises: Record<number, Exercise> = Object.fromEntries(
  NOTES.flatMap((note) =>
    note === null
      ? []
      : [
          [
            note,
            {
              ...buildSwell({
                note: writtenMidi(note),
                shape: 'grow',
                beats: 4,
                tempoBpm: 60,
                start: 'countIn',
              }),
              ...(note === 71 ? { shelfId: 'mine' } : {}),
            },
          ],
        ],
  ),
);

interface Made {
  note: (typeof NOTES)[number];
  horn: (typeof HORNS)[number];
  source: (typeof SOURCES)[number];
  day: number;
  words: string;
  judged: boolean;
  state: 'kept' | 'recording';
  deleted: boolean;
}

const made = fc.record<Made>({
  note: fc.constantFrom(...NOTES),
  horn: fc.constantFrom(...HORNS),
  source: fc.constantFrom(...SOURCES),
  day: fc.integer({ min: 0, max: 3 }),
  words: fc.constantFrom(...WORDS),
  judged: fc.boolean(),
  state: fc.constantFrom('kept', 'kept', 'kept', 'recording'),
  deleted: fc.constantFrom(false, false, true),
});

function takeOf({ note, horn, source, day, words, judged, state, deleted }: Made, i: number): TakeRecord {
  const startedAt = FIRST + day * DAY_MS + i * 1000;
  const context: TakeRecord['context'] =
    note === null
      ? null
      : ({ exercise: exercises[note], hornId: horn, a4Hz: 440, scale: DEFAULT_SCALE } as never);
  return {
    id: `t${i}`,
    state,
    kind: note === null ? 'free' : 'exercise',
    roundId: null,
    phrase: 0,
    call: null,
    startedAt,
    ...wallClock(startedAt),
    hornId: horn,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    source,
    eyes: 'watch',
    sampleRateHz: 48000,
    lengthSeconds: 1,
    context,
    dueClickSeconds: [],
    foundClickSeconds: [],
    // What is in it does not matter here, only that it is there.
    analysis: judged && context && state === 'kept' ? ({ items: [] } as never) : null,
    loudness: null,
    playingLoad: null,
    mouthpieceId: `${horn}.first`,
    reedKind: '',
    reedId: '',
    playerNote: words,
    recovered: false,
    // Only what is kept can be deleted.
    deletedAt: deleted && state === 'kept' ? startedAt + 500 : null,
  };
}

const noteOf = ({ context }: TakeRecord) =>
  String(NOTES.find((note) => note !== null && context?.exercise === exercises[note]) ?? 'free');
const holds = (words: string) => (playerNote: string) => playerNote.includes(words);

it('finds the takes that a look at every one of them would find', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(made, { maxLength: 25 }),
      fc.constantFrom('', 'free', '58', '71'),
      fc.constantFrom('', ...HORNS),
      fc.integer({ min: -1, max: 3 }),
      fc.constantFrom('', 'new', 'lip', 'nowhere'),
      async (all, note, horn, dayNumber, words) => {
        emptyDatabaseInTests();
        const takes = all.map(takeOf);
        await database().takes.bulkAdd(structuredClone(takes));
        const day = dayNumber < 0 ? '' : wallClock(FIRST + dayNumber * DAY_MS).day;
        const listed = takes
          .filter(({ state, deletedAt }) => state === 'kept' && deletedAt === null)
          .toSorted((a, b) => b.startedAt - a.startedAt);
        const ids = (some: readonly TakeRecord[]) => some.map(({ id }) => id);

        expect(await countTakes()).toBe(listed.length);
        expect(ids(await newestTakes(5))).toEqual(ids(listed.slice(0, 5)));
        const wanted = listed.filter(
          (take) =>
            (note === '' || noteOf(take) === note) &&
            (horn === '' || take.hornId === horn) &&
            (day === '' || take.day === day) &&
            take.playerNote.includes(words),
        );
        const found = await findTakes({ note, horn, day, holds: words === '' ? null : holds(words) });
        expect(found).toEqual(ids(wanted));
        expect(ids(await readTakes(found))).toEqual(found);

        expect(ids(await takesFromNote('58', 3))).toEqual(
          ids(listed.filter((take) => noteOf(take) === '58').slice(0, 3)),
        );
        for (const hornId of HORNS)
          expect(ids(await judgedOn(hornId, 'standIn'))).toEqual(
            ids(
              listed.filter((take) => take.hornId === hornId && take.source === 'standIn' && take.analysis),
            ),
          );
        const judged = listed.filter(({ analysis }) => analysis);
        const last = await lastTakes();
        expect(new Map([...last].map(([key, { id }]) => [key, id]))).toEqual(
          new Map(
            judged
              .toReversed()
              .map(({ context, id }) => [context ? shelfKey(context.exercise) : '', id] as const),
          ),
        );
        const choices = await takeChoices();
        expect(choices.notes.toSorted()).toEqual([...new Set(takes.map(noteOf))].sort());
      },
    ),
    { numRuns: 60 },
  );
});

it('follows what is written on a take and what is deleted and brought back', async () => {
  emptyDatabaseInTests();
  const base: Made = {
    note: 58,
    horn: 'alto',
    source: 'standIn',
    day: 0,
    words: '',
    judged: false,
    state: 'kept',
    deleted: false,
  };
  await database().takes.bulkAdd([takeOf(base, 0), takeOf(base, 1)]);
  const choice = { note: '', horn: '', day: '', holds: holds('bright') };
  expect(await findTakes(choice)).toEqual([]);
  await writePlayerNote('t0', 'a bright one');
  expect(await findTakes(choice)).toEqual(['t0']);
  await deleteTake('t0', FIRST);
  expect(await findTakes(choice)).toEqual([]);
  expect(await countTakes()).toBe(1);
  await undoDelete('t0');
  expect(await findTakes(choice)).toEqual(['t0']);
  await writePlayerNote('t0', '');
  expect(await findTakes(choice)).toEqual([]);
  // Judged takes that are read once come back as the same list, until one comes or goes.
  await database().takes.update('t1', { analysis: { items: [] } as never });
  const [first] = await Promise.all([judgedOn('alto', 'standIn')]);
  expect(first.map(({ id }) => id)).toEqual(['t1']);
  expect(await judgedOn('alto', 'standIn')).toBe(first);
  await deleteTake('t1', FIRST);
  expect(await judgedOn('alto', 'standIn')).toEqual([]);
});
