import { SKILLS, type Skill } from '@inner-hum/core/exercise';
import { practiceOf, unpackNotes, ZONES, type Zone } from '@inner-hum/core/practice';
import type { PracticeDayRecord } from '../../storage/index.ts';

/** Zones from the top down, then what was practised; `free` is free playing. */
export const INK_ROWS = [...ZONES, ...SKILLS, 'free'] as const;
export type InkRow = Zone | Skill | 'free';

/** How long was played on one day, row by row, in seconds. */
export interface InkDay {
  day: string;
  playedSeconds: number;
  takes: number;
  rows: Record<InkRow, number>;
}

const NONE = Object.fromEntries(INK_ROWS.map((row) => [row, 0])) as Record<InkRow, number>;

/** Days of practice, whatever was played on, put together by their day. */
export function inkDays(practice: readonly PracticeDayRecord[]): Map<string, InkDay> {
  const days = new Map<string, InkDay>();
  for (const { day, playedSeconds, freeSeconds, takes, notes } of practice) {
    const own = days.get(day) ?? { day, playedSeconds: 0, takes: 0, rows: { ...NONE } };
    own.playedSeconds += playedSeconds;
    own.takes += takes;
    own.rows.free += freeSeconds;
    const { zones, skills } = practiceOf(unpackNotes({ day, notes }));
    for (const zone of ZONES) own.rows[zone] += zones[zone];
    for (const skill of SKILLS) own.rows[skill] += skills[skill];
    days.set(day, own);
  }
  return days;
}
