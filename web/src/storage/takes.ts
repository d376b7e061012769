import type { FrameColumns } from '@inner-hum/core/hearing';
import type { PitchGuess, PlayingLoad, TakeLoudness } from '@inner-hum/core/judge';
import { database } from './database.ts';
import { loadTakeKeys } from './keysOnWrite.ts';
import { eraseTake } from './journal.ts';
import { isListed } from './listed.ts';
import type { TakeRecord } from './records.ts';
import { dayTables, rebuildDays } from './rebuildDays.ts';
import { takesOn } from './takesOn.ts';

const UNDO_MS = 24 * 60 * 60 * 1000;

/** Kept takes of a day (`yyyy-MM-dd`) from one kind of source, newest first. */
export async function takesOfDay(day: string, source: TakeRecord['source']): Promise<TakeRecord[]> {
  const takes = await takesOn(day).reverse().toArray();
  return takes.filter((take) => isListed(take) && take.source === source);
}

/** One take, or null where there is none (any more). */
export async function readTake(id: string): Promise<TakeRecord | null> {
  return (await database().takes.get(id)) ?? null;
}

export async function readTakeFrames(takeId: string): Promise<FrameColumns | null> {
  return (await database().frames.get(takeId))?.columns ?? null;
}

/** Its day is found by what is written on its takes. */
export async function writePlayerNote(takeId: string, playerNote: string): Promise<void> {
  await changeTake(takeId, { playerNote });
}

/** Changes a take, and with it what its day comes to. */
async function changeTake(
  takeId: string,
  change: Partial<Pick<TakeRecord, 'deletedAt' | 'playerNote' | 'call'>>,
): Promise<void> {
  await loadTakeKeys();
  const db = database();
  await db.transaction('rw', dayTables(), async () => {
    await db.takes.update(takeId, change);
    const take = await db.takes.get(takeId);
    if (take) await rebuildDays([take]);
  });
}

/** Takes a take off the list. It stays whole for a day, so that undo is always possible. */
export async function deleteTake(takeId: string, now: number): Promise<void> {
  await changeTake(takeId, { deletedAt: now });
}

export async function undoDelete(takeId: string): Promise<void> {
  await changeTake(takeId, { deletedAt: null });
}

/** Erases what was deleted more than a day ago. */
export async function purgeDeleted(now: number): Promise<void> {
  const old = await database()
    .takes.where('deletedAt')
    .below(now - UNDO_MS)
    .primaryKeys();
  for (const id of old) await eraseTake(id);
}

/** What the player called after a blind take. */
export async function writeCall(takeId: string, call: PitchGuess): Promise<void> {
  await changeTake(takeId, { call });
}

/** The last judged takes from one kind of source, newest first; at most 200. */
export async function recentJudged(source: TakeRecord['source']): Promise<TakeRecord[]> {
  return database()
    .takes.orderBy('startedAt')
    .reverse()
    .filter((take) => isListed(take) && take.source === source && take.analysis !== null)
    .limit(200)
    .toArray();
}

/** How loud the last judged takes from one kind of source were, newest first; at most 40. */
export async function recentLoudness(source: TakeRecord['source']): Promise<TakeLoudness[]> {
  const takes = await database()
    .takes.orderBy('startedAt')
    .reverse()
    .filter((take) => isListed(take) && take.source === source && take.loudness !== null)
    .limit(40)
    .toArray();
  return takes.flatMap(({ loudness }) => (loudness ? [loudness] : []));
}

/** What of today's playing from one kind of source tires lip and ear; `from` is when the day began, in ms; `to`: up to then. Deleted takes were played too. */
export async function playingLoadSince(
  from: number,
  source: TakeRecord['source'],
  to = Infinity,
): Promise<PlayingLoad> {
  const sum = { playedSeconds: 0, highSeconds: 0, loudSeconds: 0 };
  await database()
    .takes.where('startedAt')
    .aboveOrEqual(from)
    .each(({ playingLoad, source: by, startedAt }) => {
      if (!playingLoad || by !== source || startedAt >= to) return;
      sum.playedSeconds += playingLoad.playedSeconds;
      sum.highSeconds += playingLoad.highSeconds;
      sum.loudSeconds += playingLoad.loudSeconds;
    });
  return sum;
}

/** When the first take from one kind of source was begun since a moment, in ms; null where none was. */
export async function firstTakeSince(from: number, source: TakeRecord['source']): Promise<number | null> {
  const first = await database()
    .takes.where('startedAt')
    .aboveOrEqual(from)
    .filter((take) => isListed(take) && take.source === source)
    .first();
  return first?.startedAt ?? null;
}
