import { KEPT_FIGURES, type KeptFigure } from '../figures/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import { mean, median } from '../stats/index.ts';
import { figureOf } from './figures.ts';
import type { PractisedNote } from './practisedNotes.ts';
import { zoneOfNote, type Zone } from './zone.ts';

/** What a trend may be of: a figure, or the share that was as written, in percent. */
export const TREND_MEASURES = ['asWrittenPercent', ...KEPT_FIGURES] as const;
export type TrendMeasure = 'asWrittenPercent' | KeptFigure;

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

/** Whether a note is one of those that a trend is of. */
export const isInScope = ({ fingeredMidi, family }: PractisedNote, scope: TrendScope) =>
  (scope.midi === null || fingeredMidi === scope.midi) &&
  (scope.zone === null || zoneOfNote(fingeredMidi) === scope.zone) &&
  (scope.family === null || family === scope.family);

/** What a note tells of a measure; null where there is no answer. Whether it was as written is 100 or 0. */
export const measuredIn = (note: PractisedNote, measure: TrendMeasure): number | null =>
  measure === 'asWrittenPercent' ? (note.asWritten ? 100 : 0) : figureOf(note, measure);

/** What several notes come to: the median, of what was as written the share; null for none. */
export const measuredOver = (values: readonly number[], measure: TrendMeasure): number | null =>
  values.length > 0 && measure === 'asWrittenPercent' ? mean(values) : median(values);

/** One point a day (or whatever `days` are), oldest first; days without an answer have none. */
export function trendOf(
  days: readonly (readonly PractisedNote[])[],
  measure: TrendMeasure,
  scope: TrendScope,
): TrendPoint[] {
  return days
    .flatMap((notes): TrendPoint[] => {
      const own = notes.filter((note) => isInScope(note, scope));
      const values = own.flatMap((note) => measuredIn(note, measure) ?? []);
      const value = measuredOver(values, measure);
      return value === null
        ? []
        : [{ at: Math.min(...own.map(({ at }) => at)), value, count: values.length }];
    })
    .toSorted((a, b) => a.at - b.at);
}
