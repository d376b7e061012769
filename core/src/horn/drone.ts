import { hornById, toSounding, type HornId } from './horns.ts';
import { frequencyHz, type WrittenMidi } from './pitch.ts';

/** Small whole-number ratios of the intervals from unison to major seventh (five-limit just intonation). */
const RATIOS = [1, 16 / 15, 9 / 8, 6 / 5, 5 / 4, 4 / 3, 45 / 32, 3 / 2, 8 / 5, 5 / 3, 9 / 5, 15 / 8];

/** Frequency ratio of a pure interval of this many semitones, up or down. */
function pureRatio(semitones: number): number {
  const octaves = Math.floor(semitones / 12);
  return RATIOS[semitones - 12 * octaves] * 2 ** octaves;
}

/**
 * Frequency of a drone on a written note. `tempered`: as on a piano. `pure`: so that the note that is played, in tune by
 * the tuner, stands in a pure interval above or below it.
 */
export function droneHz(
  drone: WrittenMidi,
  played: WrittenMidi,
  tuning: 'tempered' | 'pure',
  hornId: HornId,
  a4Hz: number,
): number {
  const horn = hornById(hornId);
  if (tuning === 'tempered') return frequencyHz(toSounding(drone, horn), a4Hz);
  return frequencyHz(toSounding(played, horn), a4Hz) / pureRatio(played - drone);
}
