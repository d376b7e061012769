import { noteOfTopKey, type Horn, type TopKey } from './horns.ts';
import { writtenMidi, type WrittenMidi } from './pitch.ts';

/** The notes a player works on: lowest and highest, written. */
export interface NoteRange {
  lowest: WrittenMidi;
  highest: WrittenMidi;
}

/** As far as charts of altissimo go: D7. */
export const HIGHEST_NOTE = writtenMidi(98);
/** Less than an octave is no range to practise in. */
export const LEAST_RANGE = 12;

/** A horn with the player's own range in place of its regular one; brought inside what the horn has. */
export function hornWithin(horn: Horn, range: NoteRange | null): Horn {
  if (!range) return horn;
  const lowest = Math.max(horn.lowest, Math.min(range.lowest, HIGHEST_NOTE - LEAST_RANGE));
  const highest = Math.min(HIGHEST_NOTE, Math.max(range.highest, lowest + LEAST_RANGE));
  return { ...horn, lowest: writtenMidi(lowest), highest: writtenMidi(highest) };
}

/** A horn whose regular range ends at its highest key. */
export function hornWithTop(horn: Horn, key: TopKey): Horn {
  return { ...horn, topKey: key, highest: noteOfTopKey(key) };
}
