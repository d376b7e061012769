import { practisedOf, todaySheet, type Practised, type SheetLine } from '@inner-hum/core/plan';
import { differenceInCalendarDays, startOfDay } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { familyById } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import {
  judgedOn,
  readSettings,
  readSheetOf,
  strainSince,
  type SettingsRecord,
  type SheetRecord,
} from '../storage/index.ts';
import { drillAddress, playersHorn } from './drillRequest.ts';

/** Days are counted from here. */
const FIRST_DAY = new Date(2020, 0, 1);

export interface Today {
  settings: SettingsRecord;
  horn: Horn;
  sheet: SheetRecord;
  lines: SheetLine[];
  /** What was practised since the sheet was planned. */
  since: Practised[];
}

const secondsLeft = (cap: number | null, played: number) =>
  cap === null ? null : Math.max(0, 60 * cap - played);

/** Today's sheet as it stands; null while it is read. `day`: when it was opened, in ms. */
export function useToday(day: number): Today | null {
  const read = useLiveQuery(async () => {
    const settings = await readSettings();
    const sheet = await readSheetOf(day);
    const takes = await judgedOn(settings.hornId, settings.source);
    const strain = await strainSince(startOfDay(sheet.plannedAt).getTime(), settings.source, sheet.plannedAt);
    return { settings, sheet, takes, strain };
  }, [day]);
  return useMemo(() => {
    if (!read) return null;
    const { settings, sheet, takes, strain } = read;
    const horn = playersHorn(settings);
    const practised = takes.flatMap(({ context, analysis, startedAt }) => {
      const one = context && analysis && practisedOf(context.exercise, analysis, startedAt);
      return one ? [one] : [];
    });
    const { minutes, aim, plannedAt, kept, notToday, done } = sheet;
    const lines = todaySheet({
      horn,
      minutes,
      aim,
      history: practised.filter(({ at }) => at < plannedAt),
      now: plannedAt,
      dayNumber: differenceInCalendarDays(plannedAt, FIRST_DAY),
      highSeconds: secondsLeft(settings.caps.highMinutes, strain.highSeconds),
      loudSeconds: secondsLeft(settings.caps.loudMinutes, strain.loudSeconds),
      // What is done stays, whatever is planned anew.
      kept: [...kept, ...done],
      notToday,
    });
    return { settings, horn, sheet, lines, since: practised.filter(({ at }) => at >= plannedAt) };
  }, [read]);
}

/** An address of the Stand that says which line of today's sheet is played there. */
export const withLine = (address: string, key: string) =>
  `${address}${address.includes('?') ? '&' : '?'}${new URLSearchParams({ sheet: key }).toString()}`;

/** Where a line is played; null for free playing. The address says which line it is. */
export function lineAddress({ family: id, item, key }: SheetLine, horn: Horn): string {
  const family = id && familyById(id);
  if (!family || !item) return '/stand';
  return withLine(drillAddress(family, horn, item.choices), key);
}

/** The line that comes after one on the sheet, of those that are not done; null where that was the last. */
export function lineAfter({ lines, sheet }: Today, key: string): SheetLine | null {
  const open = lines.filter((line) => line.key === key || !sheet.done.includes(line.key));
  return open.at(open.findIndex((line) => line.key === key) + 1) ?? null;
}
