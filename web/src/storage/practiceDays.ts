import { database } from './database.ts';
import { practiceOfTakes } from './practiceRecords.ts';
import type { PracticeDayRecord, TakeRecord } from './records.ts';

/** Practice of a day anew, from its takes; what no take is left of goes. */
export async function putPracticeOf(day: string, takes: readonly TakeRecord[]): Promise<void> {
  const { practiceDays } = database();
  await practiceDays.where({ day }).delete();
  await practiceDays.bulkPut(practiceOfTakes(takes));
}

/** Practice from one kind of source, oldest first, of all days from one to another (`yyyy-MM-dd`, both included). */
export async function listPractice(
  source: TakeRecord['source'],
  from: string,
  to: string,
): Promise<PracticeDayRecord[]> {
  const days = await database().practiceDays.where('day').between(from, to, true, true).sortBy('day');
  return days.filter((each) => each.source === source);
}

/** The first and the last day on which anything was practised; null where nothing was. */
export async function practisedSpan(): Promise<{ first: string; last: string } | null> {
  const days = database().practiceDays.orderBy('day');
  const [first, last] = [await days.first(), await days.last()];
  return first && last ? { first: first.day, last: last.day } : null;
}

/** The nearest day before or after one on which anything was played; null where there is none. */
export async function playedDayBeside(day: string, side: 'before' | 'after'): Promise<string | null> {
  const { practiceDays } = database();
  const beside =
    side === 'before'
      ? await practiceDays.where('day').below(day).last()
      : await practiceDays.where('day').above(day).first();
  return beside?.day ?? null;
}
