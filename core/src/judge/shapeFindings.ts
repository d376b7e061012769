import { shapeOf } from '../exercise/index.ts';
import { BEYOND_BAND_DB } from './levelFindings.ts';
import type { Finding } from './finding.ts';
import type { NoteHeard } from './noteHeard.ts';

/** A peak this far from its beat is heard as early or late. */
const PEAK_BEATS = 0.3;
/** Where echoes make the loudest moment uncertain. */
const RINGING_PEAK_BEATS = 0.5;
/** More of its time than this a hairpin must not go the other way. */
const WRONG_WAY_PERCENT = 5;
/** Echoes make a level go back and forth for as long again. */
const RINGING_WRONG_WAY_PERCENT = 10;
/** Noise against tone at a soft end: from here on more breath than is wanted, and so much more than this player's usual. */
const AIRY_DB = -6;
const AIRIER_DB = 6;
/** The air of a soft end is told where it stands so far over others, dB. */
const OVER_OTHERS_DB = 15;
/** In a room that rings, air that was louder a moment ago still sounds beside a soft end. */
const RINGING_AIRIER_DB = 6;

/** How its loudness went along: by stairs, past or before its peak, unevenly, the wrong way, into air. */
export function shapeFindings(heard: NoteHeard): Finding[] {
  const { note, measures: m, events, onsetSeconds, tolerance } = heard;
  const isSteady = shapeOf(note) === 'steady';
  const rings = heard.ringsMs > 0;
  const found: Finding[] = [];
  const stair = events.find((event) => event.type === 'stair');
  if (stair?.type === 'stair')
    found.push({
      kind: 'stair',
      count: m.stairs.count,
      worstDb: m.stairs.worstDb ?? stair.stepDb,
      atSeconds: stair.timeSeconds - onsetSeconds,
    });
  if (m.peakOffsetBeats !== null && Math.abs(m.peakOffsetBeats) > (rings ? RINGING_PEAK_BEATS : PEAK_BEATS))
    found.push({ kind: 'peak', beats: m.peakOffsetBeats });
  if (m.swellErrorDb !== null && m.swellErrorDb > tolerance.swellErrorDb)
    found.push({ kind: isSteady ? 'unsteady' : 'swellError', db: m.swellErrorDb });
  const stepBand = tolerance.swellErrorDb + (heard.level.hairpin ? BEYOND_BAND_DB : 0);
  if (m.stepDb !== null && Math.abs(m.stepDb) > stepBand && !heard.isBackInLine)
    found.push({ kind: 'step', db: m.stepDb });
  const wrongWayPercent = rings ? RINGING_WRONG_WAY_PERCENT : WRONG_WAY_PERCENT;
  if (m.wrongWayPercent !== null && m.wrongWayPercent > wrongWayPercent)
    found.push({ kind: 'wrongWay', percent: m.wrongWayPercent });
  const airyDb =
    Math.min(AIRY_DB, (heard.usualSoftBreathDb ?? Infinity) + AIRIER_DB) + (rings ? RINGING_AIRIER_DB : 0);
  // Out of air and back to air there is air at its soft ends.
  const asksAir = heard.airBeforeWasWritten || heard.airAfterWasWritten;
  // Beside others as loud as it, nobody can tell whose noise that is.
  const isAlone = heard.othersDb === null || (m.softestDb ?? Infinity) > heard.othersDb + OVER_OTHERS_DB;
  if (!isSteady && !asksAir && isAlone && m.softEndBreathDb !== null && m.softEndBreathDb > airyDb)
    found.push({ kind: 'airySoftEnd', db: m.softEndBreathDb });
  return found;
}
