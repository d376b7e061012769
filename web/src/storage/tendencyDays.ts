import { database } from './database.ts';
import { counts, dayRecord, type Player } from './dayRecords.ts';
import { setupKey } from './gear.ts';
import { AFTER_EVERY_DAY } from './moment.ts';
import type { TakeRecord, TendencyDayRecord } from './records.ts';

/** The map's part of a day, from its takes. */
export async function putTendencyDay(take: Player, day: string, takes: readonly TakeRecord[]): Promise<void> {
  const { tendencyDays } = database();
  const own = takes.filter(
    (each) => counts(each) && setupKey(each) === setupKey(take) && each.source === take.source,
  );
  const record = dayRecord(take, day, own);
  if (record.cells.length > 0) await tendencyDays.put(record);
  else await tendencyDays.delete(record.id);
}

/** Days with one set-up from one kind of source, oldest first, from a day on (`yyyy-MM-dd`; empty: all). */
export async function listTendencyDays(
  setup: string,
  source: TakeRecord['source'],
  from = '',
): Promise<TendencyDayRecord[]> {
  return database()
    .tendencyDays.where('[setup+source+day]')
    .between([setup, source, from], [setup, source, AFTER_EVERY_DAY])
    .toArray();
}

/** Every set-up that has days from one kind of source, the one played last first. */
export async function listSetups(
  source: TakeRecord['source'],
): Promise<{ setup: string; lastDay: string }[]> {
  const { tendencyDays } = database();
  const setups = (await tendencyDays.orderBy('setup').uniqueKeys()) as string[];
  const last = await Promise.all(
    setups.map(async (setup) => {
      const days = tendencyDays
        .where('[setup+source+day]')
        .between([setup, source, ''], [setup, source, AFTER_EVERY_DAY]);
      return { setup, lastDay: (await days.last())?.day ?? null };
    }),
  );
  return last
    .flatMap(({ setup, lastDay }) => (lastDay === null ? [] : [{ setup, lastDay }]))
    .toSorted((a, b) => b.lastDay.localeCompare(a.lastDay));
}
