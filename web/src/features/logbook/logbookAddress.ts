import { FAMILIES } from '@inner-hum/core/exercise';
import { HORN_IDS, writtenMidi, type HornId } from '@inner-hum/core/horn';
import { TREND_MEASURES, ZONES, type TrendMeasure, type TrendScope } from '@inner-hum/core/practice';
import { format, isValid, parseISO } from 'date-fns';

/** Which month is open, and what is searched for. */
export interface MonthLook {
  /** `yyyy-MM`. */
  month: string;
  /** Empty: every horn. */
  horn: HornId | '';
  words: string;
}

/** Longer searches are cut: nothing is found by them. */
const MOST_LETTERS = 100;

const hornIn = (search: URLSearchParams): HornId | '' =>
  HORN_IDS.find((id) => id === search.get('horn')) ?? '';

/** Reads the address; what is missing or wrong is the month of `now` and every horn. */
export function readMonth(search: URLSearchParams, now: Date): MonthLook {
  const month = search.get('month') ?? '';
  const isMonth = /^\d{4}-\d{2}$/.test(month) && isValid(parseISO(`${month}-01`));
  return {
    month: isMonth ? month : format(now, 'yyyy-MM'),
    horn: hornIn(search),
    words: (search.get('words') ?? '').slice(0, MOST_LETTERS),
  };
}

const searchOf = (entries: Record<string, string>) =>
  new URLSearchParams(Object.entries(entries).filter(([, value]) => value !== '')).toString();

export const monthSearch = ({ month, horn, words }: MonthLook) => searchOf({ month, horn, words });

export const dayAddress = (day: string) => `/logbook/${day}`;

/** How far back a trend goes. */
export const SPANS = ['weeks', 'quarter', 'year', 'all'] as const;
export type Span = (typeof SPANS)[number];

/** What a trend is of. */
export interface TrendLook {
  measure: TrendMeasure;
  scope: TrendScope;
  /** Empty: the horn that is played now. */
  horn: HornId | '';
  span: Span;
}

/** Reads the address; what is missing or wrong is how much came as written, anywhere, in a quarter of a year. */
export function readTrend(search: URLSearchParams): TrendLook {
  const note = Number(search.get('note') ?? NaN);
  return {
    measure: TREND_MEASURES.find((name) => name === search.get('measure')) ?? 'asWrittenPercent',
    scope: {
      midi: Number.isInteger(note) && note >= 40 && note <= 110 ? writtenMidi(note) : null,
      zone: ZONES.find((name) => name === search.get('zone')) ?? null,
      family: FAMILIES.find(({ id }) => id === search.get('drill'))?.id ?? null,
    },
    horn: hornIn(search),
    span: SPANS.find((name) => name === search.get('span')) ?? 'quarter',
  };
}

export function trendSearch({ measure, scope, horn, span }: TrendLook): string {
  return searchOf({
    measure,
    note: String(scope.midi ?? ''),
    zone: scope.zone ?? '',
    drill: scope.family ?? '',
    horn,
    span: span === 'quarter' ? '' : span,
  });
}
