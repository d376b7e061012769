import { percentile, smoothInto } from '../stats/index.ts';
import { present, type NoteTrack } from './noteTrack.ts';

const SMOOTHED_FRAMES = 15;

/** Width of the brightness between its 10th and 90th percentile, smoothed 150 ms; null without frames. */
export function colourSpan({ brightness }: NoteTrack): number | null {
  const calm = new Float64Array(brightness.length);
  smoothInto(calm, brightness, SMOOTHED_FRAMES);
  const values = Array.from(present(calm));
  const [low, high] = [percentile(values, 10), percentile(values, 90)];
  return low === null || high === null ? null : high - low;
}
