import Dexie from 'dexie';
import { database } from './database.ts';

/** Newest sounds that tell how much room a minute takes. */
const MEASURED = 30;

/** Bytes that a minute of stored sound takes, by the newest sounds; null where there is none. */
export async function soundBytesPerMinute(): Promise<number | null> {
  const db = database();
  const takes = await db.takes.orderBy('startedAt').reverse().limit(MEASURED).primaryKeys();
  let bytes = 0;
  let seconds = 0;
  for (const sound of await db.sounds.bulkGet(takes)) {
    if (!sound) continue;
    bytes += sound.flac?.byteLength ?? sound.samples?.byteLength ?? 0;
    seconds += sound.sampleCount / sound.sampleRateHz;
  }
  return seconds === 0 ? null : (60 * bytes) / seconds;
}

const before = (day: string) => database().takes.where('[day+startedAt]').below([day, Dexie.minKey]);

/** Takes of before a day (`yyyy-MM-dd`) that still have their sound, and how long they are. */
export async function soundBefore(day: string): Promise<{ takeIds: string[]; seconds: number }> {
  const withSound = new Set([
    ...(await database().sounds.toCollection().primaryKeys()),
    ...((await database().chunks.orderBy('takeId').uniqueKeys()) as string[]),
  ]);
  const takeIds: string[] = [];
  let seconds = 0;
  await before(day).each(({ id, state, lengthSeconds }) => {
    if (state !== 'kept' || !withSound.has(id)) return;
    takeIds.push(id);
    seconds += lengthSeconds;
  });
  return { takeIds, seconds };
}

/** Lets the sound of takes go, for good; ribbon, figures and words stay. */
export async function letSoundGo(takeIds: readonly string[]): Promise<void> {
  const db = database();
  await db.transaction('rw', db.sounds, db.chunks, async () => {
    await db.sounds.bulkDelete([...takeIds]);
    for (const id of takeIds) await db.chunks.where('takeId').equals(id).delete();
  });
}

/** How many takes came since a moment, in ms. */
export const takesSince = (moment: number) => database().takes.where('startedAt').above(moment).count();

/** After so long it is time to save everything again. */
const REMIND_MS = 30 * 86_400_000;
const LEAST_TAKES = 20;

/** How many takes would be gone with this browser, where that is worth a word: not saved for a month, and more than a few. 0: it is not. */
export async function takesAtRisk(archivedAt: number, now: number): Promise<number> {
  const first =
    archivedAt > 0 ? archivedAt : (await database().takes.orderBy('startedAt').first())?.startedAt;
  if (first === undefined || now - first < REMIND_MS) return 0;
  const count = await takesSince(archivedAt);
  return count < LEAST_TAKES ? 0 : count;
}
