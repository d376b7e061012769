import { readWavFile, type Sound } from '@inner-hum/core/formats';
import { listenTo, type FrameTrack } from '@inner-hum/core/hearing';
import { takeLoudness } from '@inner-hum/core/judge';
import { roundToSteps, whyOf, type Why } from '@inner-hum/core/signal';
import { phrasesHeard } from '@inner-hum/core/tone';
import { storeTake, wallClock, type TakeRecord } from '../storage/index.ts';
import type { FreeRequest } from './protocol.ts';
import { newFreeRecord } from './takeRecords.ts';

/** A recording that is brought in as a file. */
export interface RecordingRequest extends Omit<FreeRequest, 'scale'> {
  /** A WAV file as it is, or what the browser made of another kind. */
  sound: Blob | { samples: Float32Array<ArrayBuffer>; sampleRateHz: number };
  name: string;
  /** When the recording ended, in ms. */
  endedAt: number;
  mostMinutes: number;
  /** `own`: free playing of the player's, parted at its pauses. `other`: another player's, in one piece, counted nowhere. */
  whose: 'own' | 'other';
}

export type RecordingAnswer =
  | { kind: 'kept'; takeIds: string[]; /** Samples over full scale, which were cut to it. */ clipped: number }
  | { kind: 'silent' | 'tooLong' }
  | { kind: 'unreadable'; why: Why };

/** Around the softest and the loudest of a recording: of its microphone nothing is known. */
const ROOM_DB = 6;

/** Keeps a recording as takes. Nothing is kept where it cannot be read, is too long or holds no tone. */
export async function keepRecording(
  request: RecordingRequest,
  signal: AbortSignal,
): Promise<RecordingAnswer> {
  const { sound, name, endedAt, mostMinutes, whose, ...played } = request;
  const read = await readSound(sound);
  if ('why' in read) return { kind: 'unreadable', why: read.why };
  const { samples, sampleRateHz } = read;
  const lengthSeconds = samples.length / sampleRateHz;
  if (lengthSeconds > 60 * mostMinutes) return { kind: 'tooLong' };
  const clipped = roundToSteps(samples);
  const track = listenTo(samples, sampleRateHz);
  const loudness = takeLoudness(track);
  if (!loudness) return { kind: 'silent' };
  const scale = {
    floorDb: loudness.softDb - ROOM_DB,
    ceilingDb: loudness.loudDb + ROOM_DB,
    source: 'takes' as const,
  };
  const startedAt = endedAt - 1000 * lengthSeconds;
  const keep = async (
    part: Float32Array<ArrayBuffer>,
    heard: FrameTrack,
    fromSeconds: number,
    change: Partial<TakeRecord>,
  ) => {
    signal.throwIfAborted();
    const record = newFreeRecord({ ...played, scale }, sampleRateHz, part.length, heard);
    const moment = Math.round(startedAt + 1000 * fromSeconds);
    await storeTake({
      record: { ...record, startedAt: moment, ...wallClock(moment), playerNote: name, ...change },
      samples: part,
      columns: heard.slice(0),
    });
    return record.id;
  };
  if (whose === 'other')
    return {
      kind: 'kept',
      takeIds: [await keep(samples, track, 0, { kind: 'other', playingLoad: null })],
      clipped,
    };
  const takeIds: string[] = [];
  for (const { fromSeconds, toSeconds } of phrasesHeard(track, null)) {
    const at = (seconds: number) => Math.round(seconds * sampleRateHz);
    const part = samples.slice(at(fromSeconds), at(toSeconds));
    // Heard from its own first sample on, like every take.
    takeIds.push(await keep(part, listenTo(part, sampleRateHz), fromSeconds, {}));
  }
  return takeIds.length === 0 ? { kind: 'silent' } : { kind: 'kept', takeIds, clipped };
}

async function readSound(sound: RecordingRequest['sound']): Promise<Sound | { why: Why }> {
  try {
    return sound instanceof Blob ? await readWavFile(sound) : sound;
  } catch (error) {
    return { why: whyOf(error) };
  }
}
