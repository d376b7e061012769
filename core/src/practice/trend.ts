import type { WrittenMidi } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { FIGURES, type FigureName } from './figures.ts';
import type { PractisedNote } from './practisedNotes.ts';
import { zoneOfNote, type Zone } from './zone.ts';

/** What a trend may be of: a figure, or the share that was as written, in percent. */
export const TREND_MEASURES = ['asWrittenPercent', ...FIGURES] as const;
export type TrendMeasure = 'asWrittenPercent' | FigureName;

/** Which notes a trend is of; null: any. */
export interface TrendScope {
  /** As it is fingered. */
  midi: WrittenMidi | null;
  zone: Zone | null;
  family: string | null;
}

export interface TrendPoint {
  /** When the first of its notes was played, in ms. */
  at: number;
  /** Over all its notes: the median, or the share. */
  value: number;
  /** How many notes it rests on. */
  count: number;
}

export const isInScope = ({ fingeredMidi, family }: PractisedNote, scope: TrendScope) =>
  (scope.midi === null || fingeredMidi === scope.midi) &&
  (scope.zone === null || zoneOfNote(fingeredMidi) === scope.zone) &&
  (scope.family === null || family === scope.family);

/** One point a day (or whatever `days` are), oldest first; days without an answer have none. */
export function trendOf(
  days: readonly (readonly PractisedNote[])[],
  measure: TrendMeasure,
  scope: TrendScope,
): TrendPoint[] {
  const place = FIGURES.findIndex((name) => name === measure);
  return days
    .flatMap((notes): TrendPoint[] => {
      const own = notes.filter((note) => isInScope(note, scope));
      const values = own.flatMap(({ figures }) => figures.at(place) ?? []);
      const value =
        measure !== 'asWrittenPercent'
          ? median(values)
          : own.length === 0
            ? null
            : (100 * own.filter(({ asWritten }) => asWritten).length) / own.length;
      if (value === null) return [];
      const count = measure === 'asWrittenPercent' ? own.length : values.length;
      return [{ at: Math.min(...own.map(({ at }) => at)), value, count }];
    })
    .toSorted((a, b) => a.at - b.at);
}
