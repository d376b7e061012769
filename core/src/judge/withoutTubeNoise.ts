import { columnValue, FRAME_SECONDS, FrameTrack } from '../hearing/index.ts';
import { powerFromDb } from '../signal/index.ts';
import { median } from '../stats/index.ts';
import { pitchRuns, withoutPitch, type ToneSpan } from '../tone/index.ts';

/** So far under its tone, and with so much noise in it, a pitch is breath that resonates in the tube. */
const UNDER_TONE_DB = 25;
const NOISY_DB = -14;
/** Tones this short have no middle to tell by. */
const TONE_FRAMES = Math.round(0.3 / FRAME_SECONDS);
/** A tone fades and speaks through a moment of this. */
const LEAST_FRAMES = Math.round(0.06 / FRAME_SECONDS);

/**
 * A take with the breath before and after its tones without a pitch: blown too softly for the reed a tube still has its note, faintly and full
 * of noise. Its air counts as air then. The track itself where there is none.
 */
export function withoutTubeNoise(track: FrameTrack): FrameTrack {
  const breaths = pitchRuns(track).flatMap((run) => breathsOf(track, run));
  if (breaths.length === 0) return track;
  const columns = withoutPitch(track, breaths).slice(0);
  const { airDb, levelDb, noiseToHarmonicDb } = columns;
  for (const { first, last } of breaths)
    for (let i = first; i <= last; i++) {
      const ratio = powerFromDb(columnValue(noiseToHarmonicDb, i) ?? 0);
      airDb[i] = levelDb[i] + 10 * Math.log10(ratio / (1 + ratio));
    }
  return FrameTrack.from(columns);
}

/** The noisy, faint stretches at both ends of a run of pitch. */
function breathsOf({ columns: { levelDb, noiseToHarmonicDb } }: FrameTrack, run: ToneSpan): ToneSpan[] {
  const { first, last } = run;
  if (last - first < TONE_FRAMES) return [];
  const usual = median(levelDb.subarray(first, last + 1)) ?? 0;
  const isBreath = (i: number) =>
    levelDb[i] < usual - UNDER_TONE_DB && (columnValue(noiseToHarmonicDb, i) ?? 0) > NOISY_DB;
  let start = first;
  while (start <= last && isBreath(start)) start++;
  let end = last;
  while (end > start && isBreath(end)) end--;
  return [
    { first, last: start - 1 },
    { first: end + 1, last },
  ].filter((span) => span.last - span.first + 1 >= LEAST_FRAMES);
}
