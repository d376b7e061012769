import { addDays, differenceInCalendarDays, parseISO } from 'date-fns';
import { database, dayOf, openDatabase, type TakeRecord } from '../storage/index.ts';

// Runs in the page, on the browser's own database: what is there is laid out again and again before itself, until it reaches ten years back.

const YEARS = 10;

/** So many takes and days there are then. */
export async function fillYears(name: string): Promise<{ takes: number; days: number }> {
  openDatabase(name);
  const db = database();
  const [takes, practice, tendency, rounds, notes] = await Promise.all([
    db.takes.toArray(),
    db.practiceDays.toArray(),
    db.tendencyDays.toArray(),
    db.rounds.toArray(),
    db.dayNotes.toArray(),
  ]);
  const dates = practice.map(({ day }) => day).sort();
  const span = differenceInCalendarDays(parseISO(dates[dates.length - 1]), parseISO(dates[0])) + 1;
  for (let back = span; back < YEARS * 365; back += span) {
    const day = (of: string) => dayOf(addDays(parseISO(of), -back));
    const moment = (of: number) => addDays(of, -back).getTime();
    const id = (of: string) => `${of}-${back}`;
    await db.takes.bulkPut(
      takes.map((take): TakeRecord => ({
        ...take,
        id: id(take.id),
        roundId: take.roundId && id(take.roundId),
        day: day(take.day),
        startedAt: moment(take.startedAt),
      })),
    );
    await db.practiceDays.bulkPut(practice.map((row) => ({ ...row, id: id(row.id), day: day(row.day) })));
    await db.tendencyDays.bulkPut(tendency.map((row) => ({ ...row, id: id(row.id), day: day(row.day) })));
    await db.rounds.bulkPut(
      rounds.map((row) => ({ ...row, id: id(row.id), startedAt: moment(row.startedAt) })),
    );
    await db.dayNotes.bulkPut(notes.map((row) => ({ ...row, day: day(row.day) })));
  }
  return { takes: await db.takes.count(), days: await db.practiceDays.count() };
}
