import Dexie from 'dexie';
import { database } from './database.ts';
import type { TakeRecord } from './records.ts';
import { takeKeys } from './takeKeys.ts';

/**
 * What earlier takes of the same drill, note and set-up came to in its figure, oldest first; from the index alone, no take is read. Of several
 * takes: before the first of them, and nothing where they are of different notes.
 */
export async function pastOf(takes: readonly TakeRecord[]): Promise<number[]> {
  const [record, ...others] = new Set(takes.map((take) => (take.keys ?? takeKeys(take)).record));
  if (record === undefined || others.length > 0) return [];
  const before = Math.min(...takes.map(({ startedAt }) => startedAt));
  const keys = await database()
    .takes.where('[keys.record+startedAt+keys.figure]')
    .between([record, Dexie.minKey], [record, before])
    .keys();
  return (keys as unknown as [string, number, number][]).map(([, , figure]) => figure);
}
