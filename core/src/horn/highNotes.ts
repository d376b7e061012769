import { fingeringsOf, regularFingering } from './fingerings.ts';
import { hornById, type HornId, type TopKey } from './horns.ts';
import { fingeringOf, isSameFingering, type Fingering } from './keys.ts';
import { writtenMidi, type WrittenMidi } from './pitch.ts';
import { HIGHEST_NOTE } from './range.ts';
import { LAST_REGULAR, regularTube } from './tubes.ts';

const F_SHARP_6 = LAST_REGULAR;
const OCTAVE = 12;
/** From the first partial of a tube to its sixth. */
const SIXTH_PARTIAL = 31;

/** The notes of a chart of high notes, F#6 to D7, lowest first. */
export const HIGH_NOTES: readonly WrittenMidi[] = Array.from(
  { length: HIGHEST_NOTE - F_SHARP_6 + 1 },
  (_, i) => writtenMidi(F_SHARP_6 + i),
);

/** Whether a note has a place in that chart. */
export const isHighNote = (note: number) => note >= F_SHARP_6 && note <= HIGHEST_NOTE;

/**
 * Where to start from on a high note: its regular fingerings as far as the horn has the keys, common ones, the ordinary
 * fingering of the tube it is a partial of, overblown, and that of the tube it is the sixth partial of, with its first hole open. Every horn, mouthpiece and player differs: these are to be tried.
 */
export function startFingerings(note: WrittenMidi, hornId: HornId, topKey: TopKey): Fingering[] {
  const missing = topKey === 'F' ? ['highF#', 'highG'] : topKey === 'F#' ? ['highG'] : [];
  const regular = fingeringsOf(note).filter((keys) => !keys.some((key) => missing.includes(key)));
  const common = (hornById(hornId).highFingerings[note] ?? []).map((keys) => fingeringOf(keys.split(' ')));
  const overblown = note > F_SHARP_6 ? [overblownFrom(note), ventedFrom(note)] : [];
  return [...regular, ...common, ...overblown].filter(
    (keys, i, all) => all.findIndex((other) => isSameFingering(keys, other)) === i,
  );
}

/** The second-octave fingering of the tube. */
function overblownFrom(note: WrittenMidi): Fingering {
  const { tube } = regularTube(note);
  return fingeringOf(['oct', ...regularFingering(writtenMidi(tube + OCTAVE))]);
}

/** The fingering of the tube of which the note is the sixth partial: the first finger lifted opens a hole near where its wave is largest. */
const ventedFrom = (note: WrittenMidi): Fingering =>
  fingeringOf(['oct', ...regularFingering(writtenMidi(note - SIXTH_PARTIAL)).filter((key) => key !== 'L1')]);

const SEPARATOR = '.';

/** A fingering as one word for addresses and record keys; empty for nothing pressed. */
export const fingeringKey = (keys: Fingering) => fingeringOf(keys).join(SEPARATOR);
/** Reads such a word; what is no key is left out. */
export const readFingeringKey = (word: string): Fingering => fingeringOf(word.split(SEPARATOR));
