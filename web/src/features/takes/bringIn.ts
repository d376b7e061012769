import { gearOf, readSettings } from '../../storage/index.ts';
import type { SessionController } from '../../session/index.ts';
import { decodeSound } from '../../audio/index.ts';

/** Longer recordings are refused: one is compared with a take, not kept as a library. */
export const MOST_MINUTES = 10;
export const MOST_BYTES = 200_000_000;

export type BroughtIn =
  { kind: 'kept'; takeId: string } | { kind: 'tooLong' | 'tooBig' | 'unreadable' | 'silent' };

/** Brings in a recording of another player: decoded by the browser, heard by the worker, kept beside the takes, counted nowhere. */
export async function bringIn(file: File, session: SessionController): Promise<BroughtIn> {
  if (file.size > MOST_BYTES) return { kind: 'tooBig' };
  const sound = await decodeSound(await file.arrayBuffer());
  if (!sound) return { kind: 'unreadable' };
  if (sound.samples.length > 60 * MOST_MINUTES * sound.sampleRateHz) return { kind: 'tooLong' };
  const settings = await readSettings();
  const { hornId, a4Hz, source } = settings;
  const takeId = await session.keepOther({
    ...sound,
    hornId,
    a4Hz,
    source,
    gear: gearOf(settings),
    name: file.name.slice(0, 200),
  });
  return takeId === null ? { kind: 'silent' } : { kind: 'kept', takeId };
}
