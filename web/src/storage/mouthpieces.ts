import type { HornId } from '@inner-hum/core/horn';
import { database } from './database.ts';
import type { Gear, MouthpieceRecord, SettingsRecord } from './records.ts';
import { changeSettings, readSettings } from './settings.ts';

export const MOST_MOUTHPIECE_NAME = 40;

/** The mouthpiece that a horn has before any is named. */
export const firstMouthpiece = (hornId: HornId) => `${hornId}.first`;

/** The mouthpiece on the horn that is played. */
export function mouthpieceOf({
  hornId,
  mouthpieceIds,
}: Pick<SettingsRecord, 'hornId' | 'mouthpieceIds'>): string {
  return mouthpieceIds[hornId] ?? firstMouthpiece(hornId);
}

/** Mouthpiece and reed on the horn that is played. */
export function gearOf(settings: Pick<SettingsRecord, 'hornId' | 'mouthpieceIds' | 'reedKinds'>): Gear {
  return { mouthpieceId: mouthpieceOf(settings), reedKind: settings.reedKinds[settings.hornId] ?? '' };
}

const SEPARATOR = '|';

/** A set-up as one word: a map belongs to one. */
export const setupKey = ({ mouthpieceId, reedKind }: Gear) => `${mouthpieceId}${SEPARATOR}${reedKind}`;

/** Such a word read. */
export function readSetupKey(key: string): Gear {
  const [mouthpieceId, ...reed] = key.split(SEPARATOR);
  return { mouthpieceId, reedKind: reed.join(SEPARATOR) };
}

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
export async function putOn(hornId: HornId, id: string): Promise<void> {
  const { mouthpieceIds } = await readSettings();
  await changeSettings({ mouthpieceIds: { ...mouthpieceIds, [hornId]: id } });
}
