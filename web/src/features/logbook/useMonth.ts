import type { Milestone } from '@inner-hum/core/practice';
import { endOfMonth, parseISO, startOfDay, subYears } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import {
  dayOf,
  listDayNotes,
  listPractice,
  practisedSpan,
  readSettings,
  type DayNoteRecord,
  type SettingsRecord,
} from '../../storage/index.ts';
import { inkDays, type InkDay } from './inkDay.ts';
import { hornsIn, reachedSince } from './reached.ts';
import { useRemembered, type Keyed } from '../../ui/index.ts';
import { marksOf, type Mark } from './marks.ts';
import type { MonthLook } from './logbookAddress.ts';

export interface Month {
  settings: SettingsRecord;
  /** First and last day, `yyyy-MM-dd`. */
  first: string;
  last: string;
  days: Map<string, InkDay>;
  notes: DayNoteRecord[];
  marks: Mark[];
  milestones: Milestone[];
  /** Horns that were played at all in the year before its end. */
  horns: SettingsRecord['hornId'][];
  /** The first and the last day of all; null where nothing was practised. */
  span: { first: string; last: string } | null;
}

/** A month of the logbook; null while it is read. What was reached is told against the year before. */
export function useMonth({ month, horn }: Pick<MonthLook, 'month' | 'horn'>): Month | null {
  const key = `month ${month} ${horn}`;
  return useRemembered(
    key,
    useLiveQuery(async (): Promise<Keyed<Month>> => {
      const settings = await readSettings();
      const first = `${month}-01`;
      const last = dayOf(endOfMonth(parseISO(first)));
      const yearBefore = dayOf(subYears(parseISO(first), 1));
      const all = await listPractice(settings.source, yearBefore, last);
      const horns = hornsIn(all);
      const wanted = all.filter(({ hornId }) => horn === '' || hornId === horn);
      const marks = await Promise.all(
        horns.filter((id) => horn === '' || id === horn).map((id) => marksOf(id, all)),
      );
      const from = startOfDay(parseISO(first)).getTime();
      const value = {
        settings,
        first,
        last,
        days: inkDays(wanted.filter(({ day }) => day >= first)),
        notes: (await listDayNotes(first, last)).filter(({ text }) => text !== ''),
        marks: marks.flat().filter(({ day }) => day >= first && day <= last),
        milestones: reachedSince(wanted, from).toSorted((a, b) => b.at - a.at),
        horns,
        span: await practisedSpan(),
      };
      return { key, value };
    }, [month, horn]),
  );
}
