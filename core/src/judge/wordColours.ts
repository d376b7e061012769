import type { NoteItem } from '../exercise/index.ts';
import { median } from '../stats/index.ts';
import { present, type NoteTrack } from './noteTrack.ts';

/** What a note sounded like while one word was thought of. */
export interface WordColour {
  text: string;
  /** Median harmonic number of the spectrum's centre. */
  centroidHarmonics: number;
  /** Median cents from the note. */
  cents: number;
}

/** The tongue is on its way to a vowel for so much of its time. */
const ON_ITS_WAY = 0.25;

/**
 * Colour and pitch of a note word by word: medians over the time of each word without its first quarter. A word that was not come to,
 * or of which no frame can be used, is left out.
 */
export function wordColours(
  { words = [], lengthBeats }: Pick<NoteItem, 'words' | 'lengthBeats'>,
  { timeSeconds, centroidHarmonics, cents }: NoteTrack,
  onsetSeconds: number,
  secondsPerBeat: number,
): WordColour[] {
  const during = (values: Float64Array, from: number, to: number) =>
    median(present(values.filter((_, i) => timeSeconds[i] >= from && timeSeconds[i] < to)));
  return words.flatMap(({ beat, text }, i) => {
    const end = words.at(i + 1)?.beat ?? lengthBeats;
    const from = onsetSeconds + (beat + ON_ITS_WAY * (end - beat)) * secondsPerBeat;
    const to = onsetSeconds + end * secondsPerBeat;
    const [colour, pitch] = [during(centroidHarmonics, from, to), during(cents, from, to)];
    return colour === null || pitch === null ? [] : [{ text, centroidHarmonics: colour, cents: pitch }];
  });
}
