import { database } from './database.ts';
import { dayOf } from './moment.ts';
import type { SheetRecord } from './records.ts';
import { readSettings } from './settings.ts';

const USUAL_MINUTES = 10;

/** The sheet of the day of a moment; a new one where none was begun. Nothing is stored until something is changed. */
export async function readSheetOf(now: number): Promise<SheetRecord> {
  const day = dayOf(now);
  const stored = await database().sheets.get(day);
  if (stored) return stored;
  const [newest, { minutes }] = await Promise.all([database().sheets.orderBy('day').last(), readSettings()]);
  return {
    day,
    minutes: newest?.minutes ?? minutes ?? USUAL_MINUTES,
    aim: newest?.aim ?? 'zones',
    family: newest?.family ?? 'pairedSwells',
    plannedAt: now,
    kept: [],
    notToday: [],
    done: [],
  };
}

/** Changes the sheet of a day; the first change stores it, so that it stays as it was planned. */
export async function changeSheet(
  sheet: SheetRecord,
  change: Partial<Omit<SheetRecord, 'day'>>,
): Promise<void> {
  const { sheets } = database();
  await database().transaction('rw', sheets, async () => {
    const stored = (await sheets.get(sheet.day)) ?? sheet;
    await sheets.put({ ...stored, ...change });
  });
}

/** A line is done. */
export async function lineDone(sheet: SheetRecord, key: string): Promise<void> {
  const stored = (await database().sheets.get(sheet.day)) ?? sheet;
  if (!stored.done.includes(key)) await changeSheet(sheet, { done: [...stored.done, key] });
}
