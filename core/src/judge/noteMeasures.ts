import { median, percentiles } from '../stats/index.ts';
import type { NoteMeasures } from './measures.ts';
import { present, type NoteTrack } from './noteTrack.ts';
import {
  pitchSlopeCentsPer10Db,
  centsAtEnd,
  centsOverall,
  centroidSlopeHarmonicsPer10Db,
  driftPerSecond,
  firstToLastCents,
  softEndBreathDb,
} from './pitchMeasures.ts';
import { measureVibrato } from './vibrato.ts';

/** Slopes and ends across several notes would tell of the notes, not of the playing; a steady tone has no ends to compare. */
export const NO_ENDS = {
  softEndCents: null,
  loudEndCents: null,
  endToEndCents: null,
  pitchSlopeCentsPer10Db: null,
  pitchSlopeR2: null,
  softEndBreathDb: null,
  centroidSlopeHarmonicsPer10Db: null,
} satisfies Partial<NoteMeasures>;
const NO_COURSE = {
  driftCentsPerSecond: null,
  firstToLastCents: null,
  levelDriftDbPerSecond: null,
  vibratoHz: null,
  vibratoCents: null,
  vibratoRegularity: null,
} satisfies Partial<NoteMeasures>;

function ends(note: NoteTrack) {
  const [soft, loud] = [centsAtEnd(note, 'soft'), centsAtEnd(note, 'loud')];
  return {
    softEndCents: soft,
    loudEndCents: loud,
    endToEndCents: soft === null || loud === null ? null : loud - soft,
    ...pitchSlopeCentsPer10Db(note),
    softEndBreathDb: softEndBreathDb(note),
    centroidSlopeHarmonicsPer10Db: centroidSlopeHarmonicsPer10Db(note),
  };
}

/**
 * Everything that can be said of a note without knowing what was written; of a steady one (`hasEnds` false) no ends, and of several joined to
 * one (`hasCourse` false) nothing of how it went. What is not asked for is not worked out: null.
 */
export function measureNote(
  note: NoteTrack,
  { hasEnds = true, hasCourse = true }: { hasEnds?: boolean; hasCourse?: boolean } = {},
): NoteMeasures {
  const [softest, low, middle, high, peak] = percentiles(present(note.levelDb), [5, 16, 50, 84, 95]);
  return {
    ...centsOverall(note),
    ...(hasEnds && hasCourse ? ends(note) : NO_ENDS),
    ...(hasCourse
      ? {
          driftCentsPerSecond: driftPerSecond(note, note.cents),
          firstToLastCents: firstToLastCents(note),
          levelDriftDbPerSecond: driftPerSecond(note, note.levelDb),
          ...measureVibrato(note),
        }
      : NO_COURSE),
    levelDb: middle,
    softestDb: softest,
    peakDb: peak,
    levelSpreadDb: low === null || high === null ? null : (high - low) / 2,
    dynamicSpanDb: softest === null || peak === null ? null : peak - softest,
    centroidHarmonics: median(present(note.centroidHarmonics)),
    noiseToHarmonicDb: median(present(note.noiseToHarmonicDb)),
  };
}
