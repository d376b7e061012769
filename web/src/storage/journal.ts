import type { FrameColumns } from '@inner-hum/core/hearing';
import { database } from './database.ts';
import { loadTakeKeys } from './keysOnWrite.ts';
import { TABLE_NAMES, tableRow } from './tables.ts';
import type { TakeRecord, WholeTake } from './records.ts';
import { dayTables, rebuildDays } from './rebuildDays.ts';

/** Length of the parts in which sound is stored: no crash costs more. */
export const CHUNK_SECONDS = 0.25;

/** A take begins: from now on it exists, whatever happens to the page. */
export async function beginTake(record: TakeRecord): Promise<void> {
  await loadTakeKeys();
  // Its keys are written into what is put: the caller's stays as it is.
  await database().takes.put({ ...record });
}

/** Adds the next part of a take's sound. */
export async function appendChunk(
  takeId: string,
  index: number,
  samples: Float32Array<ArrayBuffer>,
): Promise<void> {
  await database().chunks.put({ takeId, index, samples });
}

export async function noteDueClicks(takeId: string, dueClickSeconds: number[]): Promise<void> {
  await loadTakeKeys();
  await database().takes.update(takeId, { dueClickSeconds });
}

/** The take has ended and been judged: record, frames and the day it counts for in one transaction. */
export async function finishTake(record: TakeRecord, columns: FrameColumns): Promise<void> {
  await loadTakeKeys();
  const db = database();
  await db.transaction('rw', [...dayTables(), db.frames], async () => {
    await db.frames.put({ takeId: record.id, columns });
    await db.takes.put({ ...record });
    await rebuildDays([record]);
  });
}

/** Stores a finished take; the parts first, so that a crash in between loses nothing. */
export async function storeTake({ record, samples, columns }: WholeTake): Promise<void> {
  await beginTake({ ...record, state: 'recording' });
  const part = Math.round(CHUNK_SECONDS * record.sampleRateHz);
  for (let index = 0; index * part < samples.length; index++)
    await appendChunk(record.id, index, samples.slice(index * part, (index + 1) * part));
  await finishTake(record, columns);
}

/** Removes a take with all that belongs to it. */
export async function eraseTake(takeId: string): Promise<void> {
  const db = database();
  const tables = TABLE_NAMES.flatMap((name) => {
    const { ofTake } = tableRow(name);
    return ofTake ? [{ table: db.table(name), ofTake }] : [];
  });
  await db.transaction('rw', [db.takes, ...tables.map(({ table }) => table)], async () => {
    await db.takes.delete(takeId);
    for (const { table, ofTake } of tables) await table.where(ofTake).equals(takeId).delete();
  });
}

/** When the take that bears the latest time began, in ms; null: there is none. */
export async function newestTakeAt(): Promise<number | null> {
  return (await database().takes.orderBy('startedAt').last())?.startedAt ?? null;
}

/** Takes that were being recorded when their page went away (or still are: ask their lock). */
export async function unfinishedTakes(): Promise<TakeRecord[]> {
  return database().takes.where('state').equals('recording').toArray();
}
