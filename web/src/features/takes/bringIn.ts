import {
  PROMISE_BYTES,
  promisedLength,
  SOUND_KIND_BYTES,
  soundKind,
  type PromisedLength,
  type SoundKind,
} from '@inner-hum/core/formats';
import { whyOf, type Why } from '@inner-hum/core/signal';
import { decodeSound } from '../../audio/index.ts';
import { gearOf, readSettings } from '../../storage/index.ts';
import { storageWorker, type RecordingRequest } from '../../workers/index.ts';

/** Longer recordings are refused: a day is brought in in parts, and another player's is compared, not kept as a library. */
export const MOST_MINUTES = { own: 60, other: 10 };
/** In megabytes. A WAV is read block by block; everything else the browser unpacks at once. */
export const MOST_MEGABYTES = { wav: 1200, other: 500 };
/** What a file's size says of its length may be so far off. */
const AT_MOST_TIMES = 2;
/** A file that misses less of its end is whole: decoders pad and trim. */
const CUT_SECONDS = 0.5;
export const MOST_FILES = 500;

export type Whose = RecordingRequest['whose'];

/** What became of one file. */
export type BroughtIn =
  | {
      kind: 'kept';
      name: string;
      takeIds: string[];
      /** Samples over full scale, which were cut to it. */
      clipped: number;
      /** How much of it is there, of how much it says it is, in seconds; null where it is whole. */
      cut: { seconds: number; of: number } | null;
    }
  | {
      kind: 'tooLong' | 'tooBig' | 'unreadable' | 'silent';
      name: string;
      why?: Why;
      format?: string;
      /** What it may have at most. */
      megabytes?: number;
    };

/** What some browsers do not read, as players know it: it is said what to convert. */
const FORMATS: Partial<Record<SoundKind, string>> = {
  codedWav: 'WAV (mu-law, ADPCM)',
  aiff: 'AIFF',
  caf: 'CAF',
  wma: 'WMA',
  amr: 'AMR',
  mp4: 'M4A (ALAC)',
  webm: 'WebM',
};

const isNamedWav = (file: File) => /\.wave?$/i.test(file.name);

/** What a file is, whatever it is called, and how long it says it is. */
async function lookAt(
  file: File,
): Promise<{ kind: SoundKind; isWav: boolean; promised: PromisedLength | null }> {
  const bytesOf = async (part: Blob) => new Uint8Array(await part.arrayBuffer());
  const head = await bytesOf(file.slice(0, PROMISE_BYTES));
  const tail = await bytesOf(file.slice(-PROMISE_BYTES));
  const kind = soundKind(head.subarray(0, SOUND_KIND_BYTES));
  // What is wrong with a WAV that is none its reader says best.
  const isWav = kind === 'wav' || (kind === 'unknown' && isNamedWav(file));
  return { kind, isWav, promised: promisedLength(head, tail, file.size) };
}

/** How much of a sound is there, where it says that it is more. */
function cutOf(sound: RecordingRequest['sound'], promised: PromisedLength | null) {
  if (sound instanceof Blob || !promised?.isExact) return null;
  const seconds = sound.samples.length / sound.sampleRateHz;
  return seconds < promised.seconds - CUT_SECONDS ? { seconds, of: promised.seconds } : null;
}

async function bringInOne(file: File, whose: Whose): Promise<BroughtIn | null> {
  const { name } = file;
  const { kind, isWav, promised } = await lookAt(file);
  const megabytes = isWav ? MOST_MEGABYTES.wav : MOST_MEGABYTES.other;
  if (file.size > 1e6 * megabytes) return { kind: 'tooBig', name, megabytes };
  // Small files can unpack to days of sound.
  if (promised && promised.seconds > (promised.isExact ? 1 : AT_MOST_TIMES) * 60 * MOST_MINUTES[whose])
    return { kind: 'tooLong', name };
  // Plain WAV is read by the worker as it is, everything else by the browser.
  const sound = isWav ? file : await decodeSound(await file.arrayBuffer());
  if (!sound) return { kind: 'unreadable', name, ...(FORMATS[kind] && { format: FORMATS[kind] }) };
  const settings = await readSettings();
  const { hornId, a4Hz } = settings;
  const answer = await storageWorker()?.keepRecording({
    sound,
    name: name.slice(0, 200),
    endedAt: Math.min(Date.now(), file.lastModified || Date.now()),
    whose,
    mostMinutes: MOST_MINUTES[whose],
    hornId,
    a4Hz,
    // Whoever played it, it was no simulated player.
    source: 'microphone',
    gear: gearOf(settings),
  });
  if (!answer || answer.kind === 'stopped') return null;
  return answer.kind === 'kept' ? { ...answer, name, cut: cutOf(sound, promised) } : { ...answer, name };
}

/**
 * Brings recordings in, one after the other: decoded by the browser, heard by a worker. `onEach` is told what became of each; ends
 * early when the signal says so.
 */
export async function bringIn(
  files: readonly File[],
  whose: Whose,
  onEach: (answer: BroughtIn, done: number) => void,
  signal: AbortSignal,
): Promise<void> {
  for (const [i, file] of files.slice(0, MOST_FILES).entries()) {
    if (signal.aborted) return;
    const answer = await bringInOne(file, whose).catch((error: unknown): BroughtIn => ({
      kind: 'unreadable',
      name: file.name,
      why: whyOf(error),
    }));
    if (answer) onEach(answer, i + 1);
  }
}
