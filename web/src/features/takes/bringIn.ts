import { SOUND_KIND_BYTES, soundKind, type SoundKind } from '@inner-hum/core/formats';
import { whyOf, type Why } from '@inner-hum/core/signal';
import { decodeSound } from '../../audio/index.ts';
import { gearOf, readSettings } from '../../storage/index.ts';
import { storageWorker, type RecordingRequest } from '../../workers/index.ts';

/** Longer recordings are refused: a day is brought in in parts, and another player's is compared, not kept as a library. */
export const MOST_MINUTES = { own: 60, other: 10 };
export const MOST_BYTES = 500_000_000;
export const MOST_FILES = 500;

export type Whose = RecordingRequest['whose'];

/** What became of one file. */
export type BroughtIn =
  | { kind: 'kept'; name: string; takeIds: string[] }
  | { kind: 'tooLong' | 'tooBig' | 'unreadable' | 'silent'; name: string; why?: Why; format?: string };

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

/** The sound of a file, whatever it is called: plain WAV is read by the worker as it is, everything else by the browser. */
async function soundOf(file: File): Promise<{ sound: RecordingRequest['sound'] | null; kind: SoundKind }> {
  const kind = soundKind(new Uint8Array(await file.slice(0, SOUND_KIND_BYTES).arrayBuffer()));
  // What is wrong with a WAV that is none its reader says best.
  if (kind === 'wav' || (kind === 'unknown' && isNamedWav(file))) return { sound: file, kind };
  return { sound: await decodeSound(await file.arrayBuffer()), kind };
}

async function bringInOne(file: File, whose: Whose): Promise<BroughtIn | null> {
  const { name } = file;
  if (file.size > MOST_BYTES) return { kind: 'tooBig', name };
  const { sound, kind } = await soundOf(file);
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
  return { ...answer, name };
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
