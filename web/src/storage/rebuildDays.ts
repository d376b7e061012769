import { startOfDay } from 'date-fns';
import { database } from './database.ts';
import { dayOf, type Player } from './dayRecords.ts';
import { putPracticeOf } from './practiceDays.ts';
import type { TakeRecord } from './records.ts';
import { putTendencyDay } from './tendencyDays.ts';

const DAY_MS = 24 * 3600_000;

/** Makes the day of a take anew from all its takes: whatever was added or taken away, the day is what its takes are. */
export async function rebuildDays(take: Player & Pick<TakeRecord, 'startedAt'>): Promise<void> {
  const from = startOfDay(take.startedAt).getTime();
  const day = dayOf(take.startedAt);
  // The hour that clocks are set back belongs to its day as well.
  const near = await database()
    .takes.where('startedAt')
    .between(from, from + DAY_MS + 2 * 3600_000)
    .toArray();
  await putTendencyDay(take, day, near);
  await putPracticeOf(day, near);
}

/** What a transaction needs that changes which takes there are. */
export const dayTables = () => [database().takes, database().tendencyDays, database().practiceDays];
