import { nearestMark, type DynamicScale } from '../exercise/index.ts';
import { agreedDb } from './evenLevel.ts';
import type { Finding } from './finding.ts';
import type { EndOfHairpin, Hairpin } from './hairpin.ts';
import type { Tolerance } from './tolerances.ts';

/** Under this share of the written way a hairpin hardly was one. */
const WAY_SHARE = 0.6;
/** A mark counts as missed beyond the band by this. */
export const BEYOND_BAND_DB = 1;

/** From register to register a horn is louder and softer by so much, however evenly it is blown. */
const UNEVEN_HORN_DB = 3;

export interface NoteLevel {
  hairpin: Hairpin | null;
  /** Mean distance from what is written; null where there is no level to tell. */
  offsetDb: number | null;
  /** A second opinion of how far it is from its place in the phrase; null where there is none. */
  evenPlaceDb: number | null;
  /** The offset of its phrase, and whether the phrase has other notes to tell it by. */
  phraseOffsetDb: number;
  isAlone: boolean;
  /** One steady mark for the whole phrase. */
  isFlat: boolean;
  scale: DynamicScale;
}

/** What stands out in how loud a note was: its hairpin against its marks, and its place in the phrase. */
export function levelFindings(
  { hairpin, offsetDb, evenPlaceDb, phraseOffsetDb: phrase, isAlone, isFlat, scale }: NoteLevel,
  { swellErrorDb }: Tolerance,
): Finding[] {
  const found: Finding[] = [];
  const band = swellErrorDb + BEYOND_BAND_DB;
  const against = (kind: 'beginLevel' | 'peakLevel' | 'endLevel', end: EndOfHairpin | null) => {
    if (!end) return;
    const db = end.playedDb - phrase - end.writtenDb;
    const mark = nearestMark(end.playedDb - phrase, scale);
    const written = nearestMark(end.writtenDb, scale);
    if (Math.abs(db) > band && mark !== written) found.push({ kind, db, mark, written });
  };
  if (hairpin) {
    const { grew, fell } = hairpin;
    if (grew && grew.playedDb < WAY_SHARE * grew.writtenDb)
      found.push({ kind: 'hardlyGrew', db: Math.max(0, grew.playedDb), writtenDb: grew.writtenDb });
    if (fell && fell.playedDb < WAY_SHARE * fell.writtenDb)
      found.push({ kind: 'hardlyFell', db: Math.max(0, fell.playedDb), writtenDb: fell.writtenDb });
    against('beginLevel', hairpin.begin);
    // Where it only grows its end is its peak.
    against('peakLevel', fell ? hairpin.peak : hairpin.end);
    if (fell) against('endLevel', hairpin.end);
  }
  const placeBand = band + (isFlat ? UNEVEN_HORN_DB : 0);
  const placeDb = offsetDb === null ? 0 : agreedDb(offsetDb - phrase, evenPlaceDb);
  if (!isAlone && Math.abs(placeDb) > placeBand) found.push({ kind: 'place', db: placeDb });
  return found;
}
