import { database } from './database.ts';
import type { DayNoteRecord } from './records.ts';

export const MOST_DAY_NOTE = 2000;

/** What was written on a day; empty where nothing was. */
export async function readDayNote(day: string): Promise<DayNoteRecord> {
  return (await database().dayNotes.get(day)) ?? { day, text: '', temperatureC: null };
}

export function listDayNotes(from: string, to: string): Promise<DayNoteRecord[]> {
  return database().dayNotes.where('day').between(from, to, true, true).toArray();
}

export async function writeDayNote(day: string, change: Partial<Omit<DayNoteRecord, 'day'>>): Promise<void> {
  const { dayNotes } = database();
  await database().transaction('rw', dayNotes, async () => {
    const note = { ...(await readDayNote(day)), ...change };
    await dayNotes.put({ ...note, text: note.text.slice(0, MOST_DAY_NOTE) });
  });
}
