import { FrameTrack } from '@inner-hum/core/hearing';
import { cellsOfDay, evennessOf, findingsOf, fitMap, noteSums } from '@inner-hum/core/tendency';
import { simulatedHorn, simulatePractice, USUAL_PRACTICE } from '@inner-hum/core/testing';
import { database, finishTake, listTendencyDays, openDatabase, type TakeRecord } from '../storage/index.ts';

// Runs in the page, on the browser's own database: fills it with ten years of practice and measures the map's work.

const DAYS = 3650;
const TAKES_A_DAY = 14;
const NOTES_A_TAKE = 10;
const SETUP = 'alto.first|';
const LOWEST = 58;
const HIGHEST = 90;
const ADDED = 20;
const DAYS_AT_ONCE = 100;

const dayOf = (ms: number) => new Date(ms).toISOString().slice(0, 10);

/** Ten years of days and takes; `take` is a kept take whose record every take is a copy of. */
async function fill(take: TakeRecord): Promise<{ days: number; takes: number; notes: number }> {
  const db = database();
  const horn = simulatedHorn(1, LOWEST, HIGHEST);
  const practice = { ...USUAL_PRACTICE, days: DAYS, takesPerDay: TAKES_A_DAY, notesPerTake: NOTES_A_TAKE };
  const today = Date.now();
  const first = today - DAYS * 86_400_000;
  const played = simulatePractice(horn, practice, 2);
  let notes = 0;
  for (let from = 0; from < DAYS; from += DAYS_AT_ONCE) {
    const some = played.slice(from, from + DAYS_AT_ONCE);
    const dates = some.map((_, i) => first + (from + i) * 86_400_000);
    await db.tendencyDays.bulkPut(
      some.map(({ takes }, i) => {
        const { day, cells } = cellsOfDay(dayOf(dates[i]), takes);
        return {
          id: `${SETUP}/standIn/${day}`,
          setup: SETUP,
          source: 'standIn',
          day,
          cells,
        };
      }),
    );
    await db.takes.bulkPut(
      some.flatMap(({ takes }, i) =>
        takes.map((_, k) => ({ ...take, id: `bench-${from + i}-${k}`, startedAt: dates[i] + k * 120_000 })),
      ),
    );
    for (const { takes } of some) notes += takes.reduce((sum, each) => sum + each.notes.length, 0);
  }
  return { days: DAYS, takes: DAYS * TAKES_A_DAY, notes };
}

/** Reads and fits the map of a time, as the room does when it is opened; in ms. */
async function open(from: string): Promise<{ readMs: number; fitMs: number; days: number }> {
  const begun = performance.now();
  const days = await listTendencyDays(SETUP, 'standIn', from);
  const read = performance.now();
  const map = fitMap(days, LOWEST, HIGHEST);
  const sums = noteSums(days, LOWEST, HIGHEST);
  evennessOf(
    map.notes.map(({ writtenMidi, at }) => ({ writtenMidi, value: at(0).cents })),
    20,
  );
  findingsOf({ map, sums });
  return { readMs: read - begun, fitMs: performance.now() - read, days: days.length };
}

/** Finishes takes of today, each of which makes its day anew; median in ms. */
async function add(take: TakeRecord): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < ADDED; i++) {
    const begun = performance.now();
    await finishTake({ ...take, id: `added-${i}`, startedAt: Date.now() }, new FrameTrack(4).slice(0));
    times.push(performance.now() - begun);
  }
  return times.toSorted((a, b) => a - b)[ADDED / 2];
}

/** Everything, in order; figures in ms. */
export async function measure(name: string) {
  openDatabase(name);
  const take = await database()
    .takes.filter(({ analysis }) => analysis !== null)
    .first();
  if (!take) throw new Error('There is no take to copy.');
  const filled = await fill(take);
  const year = dayOf(Date.now() - 365 * 86_400_000);
  // The first time the browser reads, it reads from disk.
  const first = await open(year);
  const again = await open(year);
  const all = await open('');
  return { filled, first, again, all, addMs: await add(take) };
}
