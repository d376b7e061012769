declare const brand: unique symbol;
/** A written note: MIDI number as the player reads it (60 = written C4). */
export type WrittenMidi = number & { readonly [brand]: 'written' };
/** A sounding note: MIDI number of what is heard (69 = A4). */
export type SoundingMidi = number & { readonly [brand]: 'sounding' };

/** A MIDI number as a written note. Nothing is checked. */
export const writtenMidi = (midi: number) => midi as WrittenMidi;
/** A MIDI number as a sounding note. Nothing is checked. */
export const soundingMidi = (midi: number) => midi as SoundingMidi;

/** Equal-tempered frequency of a sounding note in Hz; `a4Hz` is the tuning, 390-470. */
export function frequencyHz(midi: SoundingMidi, a4Hz: number): number {
  return a4Hz * 2 ** ((midi - 69) / 12);
}

/** Interval from `targetHz` to `hz` in cents: positive is sharp. */
export function centsBetween(hz: number, targetHz: number): number {
  return 1200 * Math.log2(hz / targetHz);
}

/** The sounding note nearest to a frequency. */
export function nearestMidi(hz: number, a4Hz: number): SoundingMidi {
  return soundingMidi(Math.round(69 + 12 * Math.log2(hz / a4Hz)));
}
