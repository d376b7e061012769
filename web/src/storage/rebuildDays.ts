import { database } from './database.ts';
import type { Player } from './dayRecords.ts';
import { setupKey } from './gear.ts';
import { groupedBy } from './groupedBy.ts';
import { putPracticeOf } from './practiceDays.ts';
import type { TakeRecord } from './records.ts';
import { takesOn } from './takesOn.ts';
import { putTendencyDay } from './tendencyDays.ts';

type OfDay = Player & Pick<TakeRecord, 'day'>;

/** Makes the days of takes anew from all the takes they have: whatever was added or taken away, a day is what its takes are. */
export async function rebuildDays(of: readonly OfDay[]): Promise<void> {
  for (const [day, changed] of groupedBy(of, (take) => take.day)) {
    const takes = await takesOn(day).toArray();
    for (const [player] of groupedBy(changed, (take) => `${setupKey(take)}/${take.source}`).values())
      await putTendencyDay(player, day, takes);
    await putPracticeOf(day, takes);
  }
}

/** What a transaction needs that changes which takes there are. */
export const dayTables = () => [database().takes, database().tendencyDays, database().practiceDays];
