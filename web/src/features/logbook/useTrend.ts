import { changeAt, trendOf, unpackNotes, type Change, type TrendPoint } from '@inner-hum/core/practice';
import { startOfDay, subWeeks, subYears } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type { HornId } from '@inner-hum/core/horn';
import { dayOf, listPractice, readSettings, type SettingsRecord } from '../../storage/index.ts';
import { isChange, marksOf, type Mark } from './marks.ts';
import type { Span, TrendLook } from './logbookAddress.ts';

/** A change on the horn, and what the trend did there; null where too few days lie beside it. */
export interface MarkedChange {
  mark: Mark;
  change: Change | null;
}

export interface Trend {
  settings: SettingsRecord;
  hornId: HornId;
  /** Horns that were played in that time. */
  horns: HornId[];
  points: TrendPoint[];
  changes: MarkedChange[];
  /** Notes and drills there are figures of. */
  notes: number[];
  drills: string[];
}

function firstDay(span: Span, now: number): string {
  if (span === 'all') return '';
  const from = span === 'year' ? subYears(now, 1) : subWeeks(now, span === 'weeks' ? 4 : 13);
  return dayOf(from);
}

/** What a figure did over time on one horn; null while it is read. `now`: when the room was entered, in ms. */
export function useTrend(look: TrendLook, now: number): Trend | null {
  const { span, horn, measure } = look;
  const { midi, zone, family } = look.scope;
  const read = useLiveQuery(async () => {
    const settings = await readSettings();
    const hornId = horn === '' ? settings.hornId : horn;
    const all = await listPractice(settings.source, firstDay(span, now), dayOf(now));
    const own = all.filter((each) => each.hornId === hornId);
    const marks = (await marksOf(hornId, own)).filter(isChange);
    const from = own.length === 0 ? now : startOfDay(`${own[0].day}T00:00:00`).getTime();
    return {
      settings,
      hornId,
      horns: [...new Set(all.map((each) => each.hornId))],
      days: own.map(unpackNotes),
      marks: marks.filter(({ at }) => at >= from),
    };
  }, [span, horn, now]);
  return useMemo(() => {
    if (!read) return null;
    const { settings, hornId, horns, days, marks } = read;
    const points = trendOf(days, measure, { midi, zone, family });
    const all = days.flat();
    return {
      settings,
      hornId,
      horns,
      points,
      changes: marks.map((mark) => ({
        mark,
        change: changeAt(
          points,
          mark.at,
          marks.filter((other) => other !== mark).map(({ at }) => at),
        ),
      })),
      notes: [...new Set(all.map(({ fingeredMidi }) => fingeredMidi))].toSorted((a, b) => a - b),
      drills: [...new Set(all.flatMap(({ family }) => family ?? []))],
    };
  }, [read, measure, midi, zone, family]);
}
