import { hornById, toSounding, type HornId } from './horns.ts';
import { frequencyHz, type WrittenMidi } from './pitch.ts';
import { pureRatio } from './pureInterval.ts';

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
