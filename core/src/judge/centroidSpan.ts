import { percentile, smoothInto } from '../stats/index.ts';
import { present, type NoteTrack } from './noteTrack.ts';

const SMOOTHED_FRAMES = 15;

/** Width of the centroidHarmonics between its 10th and 90th percentile, smoothed 150 ms; null without frames. */
export function centroidSpanHarmonics({ centroidHarmonics }: NoteTrack): number | null {
  const calm = new Float64Array(centroidHarmonics.length);
  smoothInto(calm, centroidHarmonics, SMOOTHED_FRAMES);
  const values = Array.from(present(calm));
  const [low, high] = [percentile(values, 10), percentile(values, 90)];
  return low === null || high === null ? null : high - low;
}
