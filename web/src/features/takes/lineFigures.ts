import type { HeadlineId } from '@inner-hum/core/exercise';
import { clicksIn } from '@inner-hum/core/headline';
import {
  AT_ONCE_SECONDS,
  type ItemAnalysis,
  type ItemMeasures,
  type NoteAnalysis,
} from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { decimals } from '../../words/index.ts';
import { cents, decibels } from './figureRows.ts';

/** In the order they are read; one that has nothing to tell of any row is left out. */
export const COLUMNS = [
  ...['note', 'beat', 'end', 'clicks', 'clear', 'held', 'response', 'caught', 'letGo', 'slur'],
  ...['landing', 'pitch', 'level', 'airier', 'softest', 'peak', 'span', 'softCents', 'loudCents', 'verdict'],
] as const;
type Column = (typeof COLUMNS)[number];

/** What each question is answered with, note by note; of an exercise of the player's own everything that there is. */
export const ASKED: Record<HeadlineId, readonly Column[]> = {
  alternation: ['beat', 'pitch', 'level'],
  beats: ['beat', 'end'],
  bend: ['pitch', 'level'],
  caught: ['caught', 'letGo', 'response'],
  compare: ['pitch', 'level'],
  descent: ['level', 'softest', 'slur'],
  everyNote: ['pitch', 'level', 'softest', 'peak', 'softCents', 'loudCents'],
  hearing: ['pitch', 'level', 'span', 'response'],
  hits: ['clear', 'pitch', 'response'],
  hold: ['clicks', 'pitch', 'level'],
  hum: ['landing', 'pitch'],
  interval: ['landing', 'pitch'],
  ladderHolds: ['clicks', 'clear', 'pitch', 'level'],
  line: ['beat', 'slur', 'pitch', 'level'],
  lips: ['level'],
  match: ['pitch', 'level'],
  restarts: ['response', 'level', 'pitch'],
  slurs: ['clear', 'held', 'slur', 'pitch'],
  spoke: [],
  steady: ['pitch', 'level'],
  subtone: ['airier', 'level', 'pitch'],
  subtoneLine: ['airier', 'level', 'pitch'],
  swell: ['softest', 'peak', 'span', 'softCents', 'loudCents'],
  swells: ['softest', 'peak', 'span', 'softCents', 'loudCents'],
  twoWays: ['response', 'slur', 'pitch', 'level'],
  vibrato: ['pitch', 'level'],
  voiced: ['clear', 'pitch', 'landing'],
  vowels: ['pitch', 'level'],
  zones: ['clicks', 'pitch', 'level'],
};

/** What a row tells, by column. */
type Told = Partial<Record<Column, string | null>>;

/** Finer than 5 ms nothing is known. */
const toFive = (ms: number) => Math.round(ms / 5) * 5;

function noteFigures(m: ItemMeasures, t: TFunction): Told {
  const ms = (value: number | null) => (value === null ? null : t('line.ms', { ms: toFive(value) }));
  const offBeat = (value: number | null | undefined) => {
    if (value === null || value === undefined) return null;
    const off = toFive(value);
    return t(off < 0 ? 'line.early' : 'line.late', { ms: Math.abs(off) });
  };
  const isSwell = m.softEndCents !== null;
  const landed = cents(m.landingCents, t);
  return {
    beat: offBeat(m.onsetOffsetMs),
    end: offBeat(m.endOffsetMs),
    clicks: m.holdBeats === null ? null : t('drill.clicks', { count: clicksIn(m.holdBeats) }),
    airier: m.subtone ? t('line.airierBy', { db: decimals(m.subtone.airierDb, 0) }) : null,
    caught: decibels(m.caughtDb ?? null, t),
    letGo: decibels(m.letGoDb ?? null, t),
    response: ms(m.responseMs),
    slur: ms(m.slurMs),
    landing:
      landed && m.settleMs !== null && m.settleMs > 0
        ? t('line.settled', { landed, ms: toFive(m.settleMs) })
        : landed,
    pitch: cents(m.centsMean, t),
    level: isSwell ? null : decibels(m.levelDb, t),
    ...(isSwell && {
      softest: decibels(m.softestDb ?? null, t),
      peak: decibels(m.peakDb ?? null, t),
      span: decibels(m.dynamicSpanDb, t),
      softCents: cents(m.softEndCents, t),
      loudCents: cents(m.loudEndCents, t),
    }),
  };
}

/** What is asked of a note that is held until the player moves. */
function ownTimeFigures({ measures, startSeconds, endSeconds }: NoteAnalysis, t: TFunction): Told {
  const seconds = (value: number | null | undefined) =>
    typeof value === 'number' ? t('line.seconds', { seconds: decimals(value, 1) }) : null;
  return {
    clear:
      (measures?.clearSeconds ?? Infinity) < AT_ONCE_SECONDS
        ? t('line.atOnce')
        : seconds(measures?.clearSeconds),
    held: seconds(startSeconds === null || endSeconds === null ? null : endSeconds - startSeconds),
  };
}

/** The figures that an item has, by column. */
export function figuresOf(item: ItemAnalysis, isOwnTime: boolean, t: TFunction): Told {
  switch (item.kind) {
    case 'note':
      return item.measures
        ? { ...noteFigures(item.measures, t), ...(isOwnTime && ownTimeFigures(item, t)) }
        : {};
    case 'hum':
      return { pitch: cents(item.measures.humCents, t) };
    case 'air':
      return { level: decibels(item.measures.airLevelDb, t) };
    case 'rest': {
      const { gapNoiseDb } = item.measures;
      return {
        level: gapNoiseDb === null ? null : t('line.overRoom', { db: decimals(Math.max(0, gapNoiseDb), 1) }),
      };
    }
    default:
      return {};
  }
}
