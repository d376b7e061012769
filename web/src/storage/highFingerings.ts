import type { WrittenMidi } from '@inner-hum/core/horn';
import { database } from './database.ts';
import type { HighFingeringRecord } from './records.ts';

/** What was decided on fingerings of high notes with one mouthpiece, removed ones included. */
export async function listHighFingerings(mouthpieceId: string): Promise<HighFingeringRecord[]> {
  return database().highFingerings.where({ mouthpieceId }).toArray();
}

interface WhichFingering {
  mouthpieceId: string;
  writtenMidi: WrittenMidi;
  fingering: string;
}

const idOf = ({ mouthpieceId, writtenMidi, fingering }: WhichFingering) =>
  `${mouthpieceId}/${writtenMidi}/${fingering}`;

/** Decides something on a fingering; what is not said stays as it was. Of one note one is preferred at most. */
export async function decideOn(
  which: WhichFingering,
  change: Partial<Pick<HighFingeringRecord, 'preferred' | 'removed'>>,
  now: number,
): Promise<void> {
  const { highFingerings } = database();
  await database().transaction('rw', highFingerings, async () => {
    const id = idOf(which);
    const before = await highFingerings.get(id);
    if (change.preferred)
      await highFingerings
        .where({ mouthpieceId: which.mouthpieceId })
        .filter((other) => other.writtenMidi === which.writtenMidi && other.id !== id)
        .modify({ preferred: false });
    await highFingerings.put({
      preferred: false,
      removed: false,
      ...before,
      ...change,
      ...which,
      id,
      changedAt: now,
    });
  });
}

/** The fingerings the player settled on, by written note. */
export async function preferredFingerings(mouthpieceId: string): Promise<Map<number, string>> {
  const rows = await listHighFingerings(mouthpieceId);
  return new Map(
    rows
      .filter(({ preferred, removed }) => preferred && !removed)
      .map(({ writtenMidi, fingering }) => [writtenMidi, fingering]),
  );
}
