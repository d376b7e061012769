import { allNotes, isAlone, type Exercise } from '../exercise/index.ts';
import { isHighNote, registerOf, writtenMidi, type Register } from '../horn/index.ts';
import type { TakeAnalysis } from '../judge/index.ts';
import { median } from '../stats/index.ts';

/** Where on the horn something is practised. */
export type Zone = Register | 'altissimo';

/** What a judged take was practice of, and how it went. */
export interface Practised {
  /** Name of the family; an own exercise has none and counts for no plan. */
  family: string;
  zone: Zone;
  /** In ms. */
  at: number;
  /** Items that were judged, and those that were as written. */
  judged: number;
  asWritten: number;
}

/** The zone in which most of an exercise lies: that of its middle note, as it is fingered. */
export function zoneOf(exercise: Exercise): Zone {
  const midi = median(allNotes(exercise).map((note) => note.fingered ?? note.writtenMidi)) ?? 67;
  if (isAlone(exercise)) return 'middle';
  return isHighNote(midi) ? 'altissimo' : registerOf(writtenMidi(Math.round(midi)));
}

/** Null for own exercises. */
export function practisedOf(exercise: Exercise, { verdict }: TakeAnalysis, at: number): Practised | null {
  const { family } = exercise;
  if (family === null) return null;
  return { family, zone: zoneOf(exercise), at, judged: verdict.judged, asWritten: verdict.asWritten };
}
