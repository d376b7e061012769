import { CLICK_SECONDS, FRAME_SECONDS, type FrameTrack } from '@inner-hum/core/hearing';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import { concat } from '@inner-hum/core/signal';
import {
  appendChunk,
  beginTake,
  CHUNK_SECONDS,
  eraseTake,
  finishTake,
  isQuotaError,
  noteDueClicks,
  recentTones,
  type WholeTake,
} from '../storage/index.ts';
import { judgeRecord, newTakeRecord, type TakeSetting } from './takeRecords.ts';

export interface TakeRecorder {
  readonly takeId: string;
  append(samples: Float32Array): void;
  /** Comes when every whole part so far was written, or could not be. */
  written(): Promise<void>;
  noteDueClick(takeSeconds: number): void;
  /** The player looked: from now on the take is not a blind one. */
  watched(): void;
  /** A drone is heard in the sound: pitch and onset will not be judged. */
  droneHeard(): void;
  /** Judges and stores the take. Null: no tone was heard, nothing is kept. */
  finish(track: FrameTrack): Promise<TakeAnalysis | null>;
}

export interface RecorderConfig extends TakeSetting {
  /** A part could not be written; recording goes on in memory. */
  onStorageTrouble(full: boolean): void;
  /** The take could not be stored: here it is. */
  onUnsaved(take: WholeTake): void;
}

/** Journals a take while it is played: the record first, then sound in quarter-second parts. */
export function createTakeRecorder(config: RecorderConfig): TakeRecorder {
  const record = newTakeRecord(config);
  const chunkLength = Math.round(CHUNK_SECONDS * config.sampleRateHz);
  const parts: Float32Array<ArrayBuffer>[] = [];
  let open = new Float32Array(chunkLength);
  let filled = 0;
  let written = Promise.resolve();
  const unwritten = new Set<number>();

  const write = (index: number, work: () => Promise<unknown>) => {
    written = written.then(work).then(
      () => undefined,
      (error: unknown) => {
        unwritten.add(index);
        config.onStorageTrouble(isQuotaError(error));
      },
    );
  };
  const close = (samples: Float32Array<ArrayBuffer>) => {
    const index = parts.push(samples) - 1;
    write(index, () => appendChunk(record.id, index, samples));
  };
  write(-1, () => beginTake(record));
  // Known long before the take is over; what cannot be read is not known.
  void recentTones(config.context.exercise, record).then(
    (tones) => {
      if (record.context) record.context = { ...record.context, ...tones };
    },
    () => undefined,
  );

  async function retryUnwritten() {
    for (const index of [...unwritten].filter((i) => i >= 0))
      await appendChunk(record.id, index, parts[index]);
  }

  return {
    takeId: record.id,
    append(samples) {
      let read = 0;
      while (read < samples.length) {
        const count = Math.min(samples.length - read, chunkLength - filled);
        open.set(samples.subarray(read, read + count), filled);
        filled += count;
        read += count;
        if (filled < chunkLength) continue;
        close(open);
        open = new Float32Array(chunkLength);
        filled = 0;
      }
    },
    written: () => written,
    noteDueClick(takeSeconds) {
      if (takeSeconds < -CLICK_SECONDS || record.dueClickSeconds.includes(takeSeconds)) return;
      record.dueClickSeconds.push(takeSeconds);
      write(-1, () => noteDueClicks(record.id, [...record.dueClickSeconds]));
    },
    watched() {
      record.eyes = 'watch';
    },
    droneHeard() {
      if (record.context) record.context = { ...record.context, droneSpoils: true };
    },
    async finish(track) {
      if (filled > 0) close(open.slice(0, filled));
      const samples = concat(Float32Array, parts);
      const judged = judgeRecord(record, samples, track);
      // Before anything is waited for: the track goes on growing.
      const columns = track.slice(
        0,
        Math.min(track.count, Math.round(judged.lengthSeconds / FRAME_SECONDS) + 1),
      );
      await written;
      if (judged.analysis === null) {
        await eraseTake(record.id).catch(() => undefined);
        return null;
      }
      try {
        await retryUnwritten();
        await finishTake(judged, columns);
      } catch (error) {
        config.onStorageTrouble(isQuotaError(error));
        config.onUnsaved({ record: judged, columns, samples });
      }
      return judged.analysis;
    },
  };
}
