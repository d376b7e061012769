import { hornById, toSounding, type HornId } from './horns.ts';
import { frequencyHz, type WrittenMidi } from './pitch.ts';
import { regularTube } from './tubes.ts';

/** What should sound, and of which tube and partial it is made. */
export interface PitchTarget {
  targetHz: number;
  tubeHz: number;
  partial: number;
}

export interface FingeredNote {
  writtenMidi: WrittenMidi;
  /** The written note whose regular fingering is held; null or absent: that of the note itself. */
  fingered?: WrittenMidi | null;
}

/**
 * Target of a written note on a horn. Overtones - notes fingered as another one - are `tempered` unless they are to ring
 * `pure`: then the target is a whole multiple of the nominal tube.
 */
export function pitchTarget(
  { writtenMidi, fingered = null }: FingeredNote,
  hornId: HornId,
  a4Hz: number,
  overtones: 'pure' | 'tempered' = 'tempered',
): PitchTarget {
  const horn = hornById(hornId);
  const regular = regularTube(fingered ?? writtenMidi);
  const tubeHz = frequencyHz(toSounding(regular.tube, horn), a4Hz);
  const temperedHz = frequencyHz(toSounding(writtenMidi, horn), a4Hz);
  if (fingered === null) return { targetHz: temperedHz, tubeHz, partial: regular.partial };
  const partial = Math.max(1, Math.round(temperedHz / tubeHz));
  return { targetHz: overtones === 'pure' ? partial * tubeHz : temperedHz, tubeHz, partial };
}
