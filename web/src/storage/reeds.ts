import type { HornId } from '@inner-hum/core/horn';
import { database } from './database.ts';
import { groupedBy } from './groupedBy.ts';
import type { ReedRecord, ReedRemark } from './gearRecords.ts';
import { changeSettings } from './settings.ts';

export const MOST_REED_NAME = 40;
export const MOST_REMARK = 300;

/** A reed with what was played on it. */
export interface PlayedReed {
  reed: ReedRecord;
  playedSeconds: number;
  days: number;
  /** `yyyy-MM-dd`; null where it was never played. */
  firstDay: string | null;
  lastDay: string | null;
}

/** The reeds of a horn, in the order they came. */
export function listReeds(hornId: HornId): Promise<ReedRecord[]> {
  return database().reeds.where({ hornId }).sortBy('createdAt');
}

/** The reeds of a horn, in the order they came, with what was played on each: counted from the takes, whoever played. */
export async function listPlayedReeds(hornId: HornId): Promise<PlayedReed[]> {
  const { practiceDays } = database();
  const stored = await listReeds(hornId);
  const played = groupedBy(await practiceDays.orderBy('day').toArray(), ({ reedId }) => reedId);
  return stored.map((reed) => {
    const days = played.get(reed.id) ?? [];
    return {
      reed,
      playedSeconds: days.reduce((sum, { playedSeconds }) => sum + playedSeconds, 0),
      days: new Set(days.map(({ day }) => day)).size,
      firstDay: days.at(0)?.day ?? null,
      lastDay: days.at(-1)?.day ?? null,
    };
  });
}

/** Another reed, and puts it on. */
export async function addReed(hornId: HornId, kind: string, name: string, now: number): Promise<void> {
  const reed: ReedRecord = {
    id: crypto.randomUUID(),
    hornId,
    kind: kind.slice(0, MOST_REED_NAME),
    name: name.slice(0, MOST_REED_NAME),
    createdAt: now,
    retiredAt: null,
    remarks: [],
  };
  await database().reeds.add(reed);
  await putOnReed(reed);
}

/** From now on takes on its horn are of this reed. */
export const putOnReed = ({ id, hornId, kind }: ReedRecord) =>
  changeSettings(({ reedIds, reedKinds }) => ({
    reedIds: { ...reedIds, [hornId]: id },
    reedKinds: { ...reedKinds, [hornId]: kind },
  }));

export async function remarkOnReed(id: string, remark: ReedRemark): Promise<void> {
  await database()
    .reeds.where({ id })
    .modify((reed) => {
      reed.remarks.push({ ...remark, text: remark.text.slice(0, MOST_REMARK) });
    });
}

/** Takes a reed out of the rotation (and off its horn), or back into it (null). */
export async function retireReed({ id, hornId }: ReedRecord, retiredAt: number | null): Promise<void> {
  await database().reeds.update(id, { retiredAt });
  if (retiredAt === null) return;
  await changeSettings(({ reedIds, reedKinds }) =>
    reedIds[hornId] === id
      ? { reedIds: { ...reedIds, [hornId]: undefined }, reedKinds: { ...reedKinds, [hornId]: undefined } }
      : {},
  );
}
