import type { HornId } from '@inner-hum/core/horn';
import { database } from './database.ts';
import { firstMouthpiece } from './gear.ts';
import type { MouthpieceRecord } from './gearRecords.ts';
import { changeSettings } from './settings.ts';

export const MOST_MOUTHPIECE_NAME = 40;

/** The mouthpieces of a horn, the first one first, its name empty until it gets one. */
export async function listMouthpieces(hornId: HornId): Promise<MouthpieceRecord[]> {
  const stored = await database().mouthpieces.where({ hornId }).sortBy('createdAt');
  const id = firstMouthpiece(hornId);
  const first = stored.find((each) => each.id === id) ?? { id, hornId, name: '', createdAt: 0 };
  return [first, ...stored.filter((each) => each.id !== id)];
}

/** Another mouthpiece, and puts it on. */
export async function addMouthpiece(hornId: HornId, name: string, now: number): Promise<void> {
  const id = crypto.randomUUID();
  await database().mouthpieces.add({ id, hornId, name: name.slice(0, MOST_MOUTHPIECE_NAME), createdAt: now });
  await putOn(hornId, id);
}

export async function nameMouthpiece(record: MouthpieceRecord, name: string): Promise<void> {
  await database().mouthpieces.put({ ...record, name: name.slice(0, MOST_MOUTHPIECE_NAME) });
}

/** From now on takes on this horn are of this mouthpiece. */
export const putOn = (hornId: HornId, id: string) =>
  changeSettings(({ mouthpieceIds }) => ({ mouthpieceIds: { ...mouthpieceIds, [hornId]: id } }));

/** Every mouthpiece that was named, on any horn. */
export function listAllMouthpieces(): Promise<MouthpieceRecord[]> {
  return database().mouthpieces.toArray();
}
