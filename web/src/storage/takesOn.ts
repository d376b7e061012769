import Dexie, { type Collection } from 'dexie';
import { database } from './database.ts';
import type { TakeRecord } from './records.ts';

/** Every take from one day to another (`yyyy-MM-dd`, both included), whatever its state, in the order of days and of playing. */
export function takesWithin(first: string, last: string): Collection<TakeRecord, string> {
  return database().takes.where('[day+startedAt]').between([first, Dexie.minKey], [last, Dexie.maxKey]);
}

/** Every take of a day, whatever its state, in the order it was played. */
export const takesOn = (day: string) => takesWithin(day, day);
