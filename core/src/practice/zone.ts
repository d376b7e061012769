import { allNotes, isAlone, type Exercise } from '../exercise/index.ts';
import { isHighNote, registerOf, writtenMidi, type Register, type WrittenMidi } from '../horn/index.ts';
import { median } from '../stats/index.ts';

/** Where on the horn something is practised. */
export type Zone = Register | 'altissimo';

/** From the top down, as a page is read. */
export const ZONES = ['altissimo', 'palm', 'high', 'middle', 'low'] as const satisfies readonly Zone[];

/** The zone of a note, as it is fingered. */
export const zoneOfNote = (midi: WrittenMidi): Zone => (isHighNote(midi) ? 'altissimo' : registerOf(midi));

/** The zone in which most of an exercise lies: that of its middle note, as it is fingered. */
export function zoneOf(exercise: Exercise): Zone {
  const midi = median(allNotes(exercise).map((note) => note.fingered ?? note.writtenMidi)) ?? 67;
  return isAlone(exercise) ? 'middle' : zoneOfNote(writtenMidi(Math.round(midi)));
}
