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
  | { kind: 'tooLong' | 'tooBig' | 'unreadable' | 'silent'; name: string; why?: Why };

const isWav = (file: File) => /\.wave?$/i.test(file.name);

/** The sound of a file: WAV is read by the worker as it is, everything else by the browser. */
async function soundOf(file: File): Promise<RecordingRequest['sound'] | null> {
  if (isWav(file)) return file;
  return decodeSound(await file.arrayBuffer());
}

async function bringInOne(file: File, whose: Whose): Promise<BroughtIn | null> {
  const { name } = file;
  if (file.size > MOST_BYTES) return { kind: 'tooBig', name };
  const sound = await soundOf(file);
  if (!sound) return { kind: 'unreadable', name };
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
