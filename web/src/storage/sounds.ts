import { concat } from '@inner-hum/core/signal';
import { database } from './database.ts';
import { playAgain } from './playAgain.ts';
import type { ChunkRecord, SoundRecord } from './records.ts';

/** File formats are large: they come when a sound is first packed or heard, not with the first page. */
const formats = () => import('@inner-hum/core/formats');

/** Parts in their order, up to the first that is missing. */
function joinParts(chunks: readonly ChunkRecord[]): Float32Array<ArrayBuffer> {
  const whole = chunks.filter((chunk, i) => chunk.index === i);
  return concat(
    Float32Array,
    whole.map(({ samples }) => samples),
  );
}

/** What is stored of a take's sound: in one piece, or else the samples of the parts it was recorded in; null: nothing. */
export async function storedSound(takeId: string) {
  const db = database();
  // In one go: packing may be at work.
  return db.transaction('r', db.sounds, db.chunks, async () => {
    const sound = await db.sounds.get(takeId);
    const chunks = sound ? [] : await db.chunks.where('takeId').equals(takeId).sortBy('index');
    const isWhole = chunks.every(({ index }, i) => index === i);
    return { sound, samples: chunks.length === 0 ? null : joinParts(chunks), isWhole };
  });
}

/** The samples of a stored sound. Throws `flac-unreadable` where it is damaged. */
export async function samplesOf({ flac, samples }: SoundRecord): Promise<Float32Array<ArrayBuffer>> {
  if (flac) {
    const { decodeFlac } = await formats();
    return (await decodeFlac(flac)).samples;
  }
  return samples ?? new Float32Array(0);
}

/**
 * The sound of a take: of an unfinished one up to the first missing part; of a simulated player's take without stored sound it is
 * played again. Empty where there is none (any more).
 */
export async function loadSamples(takeId: string): Promise<Float32Array<ArrayBuffer>> {
  const { sound, samples } = await storedSound(takeId);
  if (sound) return samplesOf(sound);
  if (samples) return samples;
  return (await playAgain(takeId)) ?? new Float32Array(0);
}

/** Sound in one piece, packed where that keeps every bit of it. */
export async function packSound(
  takeId: string,
  sampleRateHz: number,
  samples: Float32Array<ArrayBuffer>,
): Promise<SoundRecord> {
  const { decodeFlac, encodeFlac } = await formats();
  const flac = await encodeFlac({ sampleRateHz, samples });
  const isExact = flac !== null && same((await decodeFlac(flac)).samples, samples);
  return {
    takeId,
    sampleRateHz,
    sampleCount: samples.length,
    flac: isExact ? flac : null,
    samples: isExact ? null : samples,
  };
}

const same = (a: Float32Array, b: Float32Array) =>
  a.length === b.length && a.every((value, n) => value === b[n]);

/** Takes that have ended and whose sound still lies in parts. */
export async function takesInParts(): Promise<string[]> {
  const db = database();
  const ids = (await db.chunks.orderBy('takeId').uniqueKeys()) as string[];
  const takes = await db.takes.bulkGet(ids);
  return takes.flatMap((take) => (take?.state === 'kept' ? [take.id] : []));
}

/**
 * Brings the sound of a take that has ended into one piece, packed without loss and looked at again before the parts go.
 * Rejects where the disk is full: then the parts stay.
 */
export async function packTakeSound(takeId: string): Promise<void> {
  const db = database();
  const take = await db.takes.get(takeId);
  const { sound, samples, isWhole } = await storedSound(takeId);
  if (take?.state !== 'kept' || sound || !samples || !isWhole) return;
  const packed = await packSound(takeId, take.sampleRateHz, samples);
  await db.transaction('rw', db.takes, db.sounds, db.chunks, async () => {
    // It may have been erased meanwhile.
    if (!(await db.takes.get(takeId))) return;
    await db.sounds.put(packed);
    await db.chunks.where('takeId').equals(takeId).delete();
  });
}
