import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';
import { percentiles } from '../stats/index.ts';
import { pitchRuns } from '../tone/index.ts';

/** A pitch stays if it moves by no more than this... */
const STAYS_CENTS = 25;
/** ...within so much. */
const WITHIN_FRAMES = Math.round(0.05 / FRAME_SECONDS);
/** Of a horn it stays nearly all of the time (0.97 of it), of speech hardly ever (0.15). */
const SPEECH_STAYS = 0.25;
/** No syllable is so long; a wide vibrato is, and never stays either. */
const SYLLABLE_FRAMES = Math.round(0.5 / FRAME_SECONDS);
/** What stands from the first frame to the last at one pitch and level is the mains or a machine. */
const EDGE_FRAMES = 3;
const STANDING_CENTS = 30;
const STANDING_DB = 4;

/** Whether all of the pitch in a take is somebody who speaks: it glides all the time, in syllables. */
export function isSpeechAlone(track: FrameTrack): boolean {
  const { f0Hz } = track.columns;
  const runs = pitchRuns(track);
  if (runs.length === 0 || runs.some(({ first, last }) => last - first >= SYLLABLE_FRAMES)) return false;
  let pitched = 0;
  let stays = 0;
  for (let i = WITHIN_FRAMES; i < track.count; i++) {
    const hz = columnValue(f0Hz, i);
    if (hz === null) continue;
    pitched++;
    const before = columnValue(f0Hz, i - WITHIN_FRAMES);
    if (before !== null && Math.abs(centsBetween(hz, before)) <= STAYS_CENTS) stays++;
  }
  return stays < SPEECH_STAYS * pitched;
}

/** Whether one tone stands through the whole of a take, as no player's does. */
export function isStandingTone(track: FrameTrack): boolean {
  const { f0Hz, levelDb } = track.columns;
  const runs = pitchRuns(track);
  const [first, last] = [runs.at(0), runs.at(-1)];
  if (!first || !last) return false;
  if (first.first > EDGE_FRAMES || last.last < track.count - 1 - EDGE_FRAMES) return false;
  const hz = f0Hz[first.first];
  const pitched = runs.every((run) => Math.abs(centsBetween(f0Hz[run.first], hz)) < STANDING_CENTS);
  const [low, high] = percentiles(levelDb.subarray(0, track.count), [5, 95]);
  return pitched && low !== null && high !== null && high - low < STANDING_DB;
}
