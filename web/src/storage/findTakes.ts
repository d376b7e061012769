import { database } from './database.ts';
import { isListed } from './listed.ts';
import type { TakeRecord } from './records.ts';
import { judgedKey } from './judgedKey.ts';
import { takesOn } from './takesOn.ts';

// Takes by the thousand: found by their keys, and read only where they are shown.

/** Deleted takes that can still come back. */
const deletedTakes = () => database().takes.where('deletedAt').above(0);

/** Takes of one key begun after a moment (ms), oldest first. */
export const withKey = (name: 'note' | 'shelf' | 'judged', key: string, after = -Infinity) =>
  database().takes.where(`[keys.${name}+startedAt]`).between([key, after], [key, Infinity], false, true);

/** What takes can be chosen by; empty strings let everything through. */
export interface TakeChoice {
  /** Written MIDI number, or `free` for free playing. */
  note: string;
  horn: string;
  /** `yyyy-MM-dd`. */
  day: string;
  /** Whether the player's note on a take will do; null: any note, or none. */
  holds: ((playerNote: string) => boolean) | null;
}

/** How many takes are listed. */
export async function countTakes(): Promise<number> {
  const { takes } = database();
  const [kept, deleted] = await Promise.all([
    takes.where('state').equals('kept').count(),
    deletedTakes().count(),
  ]);
  return kept - deleted;
}

/** The notes and horns there are takes of. */
export async function takeChoices(): Promise<{ notes: string[]; horns: string[] }> {
  const { takes } = database();
  const [notes, horns] = await Promise.all(
    (['keys.note', 'hornId'] as const).map((key) => takes.orderBy(key).uniqueKeys()),
  );
  return { notes: notes as string[], horns: horns as string[] };
}

/** The listed takes of a choice by their ids, newest first. */
export async function findTakes({ note, horn, day, holds }: TakeChoice): Promise<string[]> {
  const { takes } = database();
  const noted = holds && takes.where('keys.noted').equals(1);
  const sets = await Promise.all([
    ...(note ? [takes.where('keys.note').equals(note).primaryKeys()] : []),
    ...(horn ? [takes.where('hornId').equals(horn).primaryKeys()] : []),
    ...(noted ? [noted.filter(({ playerNote }) => holds(playerNote)).primaryKeys()] : []),
  ]);
  const chosen = sets.map((ids) => new Set(ids));
  const [ordered, deleted, unfinished] = await Promise.all([
    (day ? takesOn(day) : takes.orderBy('[day+startedAt]')).primaryKeys(),
    deletedTakes().primaryKeys(),
    takes.where('state').equals('recording').primaryKeys(),
  ]);
  const not = new Set([...deleted, ...unfinished]);
  return ordered.filter((id) => !not.has(id) && chosen.every((ids) => ids.has(id))).reverse();
}

/** The newest listed takes, at most so many, newest first. */
export async function newestTakes(most: number): Promise<TakeRecord[]> {
  return database().takes.orderBy('[day+startedAt]').reverse().filter(isListed).limit(most).toArray();
}

/** Takes by their ids, in that order; what is gone is left out. */
export async function readTakes(ids: readonly string[]): Promise<TakeRecord[]> {
  return (await database().takes.bulkGet([...ids])).filter((take) => take !== undefined);
}

/** The newest judged takes of every exercise, by its key on the shelf. */
export async function lastTakes(): Promise<Map<string, TakeRecord>> {
  const { takes } = database();
  const shelf = (await takes.orderBy('keys.shelf').uniqueKeys()) as string[];
  const last = await Promise.all(
    shelf.map((key) => withKey('shelf', key).reverse().filter(isListed).first()),
  );
  return new Map(last.flatMap((take, i) => (take ? [[shelf[i], take] as const] : [])));
}

/** The newest listed takes whose first written note is this one, at most so many, newest first. */
export async function takesFromNote(note: string, most: number): Promise<TakeRecord[]> {
  return withKey('note', note).reverse().filter(isListed).limit(most).toArray();
}

const MOST_JUDGED = 1000;

interface JudgedRead {
  /** Of all that are judged, and the ids of deleted ones: where they are others than before, something went or came back. */
  count: number;
  gone: string;
  takes: TakeRecord[];
}

/** What was read last, by horn and source: the Ladder and the chart need it at every visit. */
const lastRead = new Map<string, JudgedRead>();

/** The last judged takes on one horn from one kind of source, newest first; at most 1000. The same list where nothing has changed. */
export async function judgedOn(
  hornId: TakeRecord['hornId'],
  source: TakeRecord['source'],
): Promise<TakeRecord[]> {
  const key = judgedKey(hornId, source);
  const [count, deleted] = await Promise.all([withKey('judged', key).count(), deletedTakes().primaryKeys()]);
  const gone = deleted.join();
  const cacheKey = `${database().name} ${key}`;
  const before = lastRead.get(cacheKey);
  if (before?.gone === gone && before.takes.length > 0) {
    // A judged take never changes in what is reckoned with here: only those that came are read.
    const newer = await withKey('judged', key, before.takes[0].startedAt).toArray();
    if (before.count + newer.length === count) {
      if (newer.length === 0) return before.takes;
      const all = [...newer.filter(isListed).reverse(), ...before.takes].slice(0, MOST_JUDGED);
      lastRead.set(cacheKey, { count, gone, takes: all });
      return all;
    }
  }
  const isGone = new Set(deleted);
  const ids = (await withKey('judged', key).primaryKeys()).filter((id) => !isGone.has(id));
  const found = (await readTakes(ids.slice(-MOST_JUDGED))).reverse();
  lastRead.set(cacheKey, { count, gone, takes: found });
  return found;
}
