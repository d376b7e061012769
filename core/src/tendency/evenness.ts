import type { WrittenMidi } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { isBorder } from './prior.ts';

/** A figure of one note, at medium loudness. */
export interface NoteValue {
  writtenMidi: WrittenMidi;
  value: number;
}

export interface NoteEvenness extends NoteValue {
  /** The smooth curve over its neighbours. */
  smooth: number;
  /** How far it lies from that, in robust standard deviations of the others. */
  z: number;
}

export interface Evenness {
  /** 100: every note lies on the curve; 0: they lie as far off as would be plainly heard, or farther. */
  index: number;
  notes: NoteEvenness[];
  /** At most three, those farthest out first; only those that stand out. */
  stickOut: NoteEvenness[];
}

/** Neighbours on either side that make the curve. */
const REACH = 4;
/** Farther than this it stands out. */
const LEAST_Z = 2.5;
const LEAST_NOTES = 5;

/**
 * Notes against a smooth curve over their neighbours of the same register (a line through up to four on either side, the note
 * itself left out, by repeated medians: Siegel 1982). `uneven`: how far off a note would plainly be heard; it sets the scale of the index
 * and the least scatter. Null where fewer than five notes are known.
 */
export function evennessOf(values: readonly NoteValue[], uneven: number): Evenness | null {
  if (values.length < LEAST_NOTES) return null;
  const sorted = values.toSorted((a, b) => a.writtenMidi - b.writtenMidi);
  const register = (midi: number) => {
    let count = 0;
    for (let note = 0; note <= midi; note++) if (isBorder(note)) count++;
    return count;
  };
  const smoothed = sorted.map((note) => {
    const near = sorted.filter(
      (other) =>
        other !== note &&
        Math.abs(other.writtenMidi - note.writtenMidi) <= REACH &&
        register(other.writtenMidi) === register(note.writtenMidi),
    );
    return { ...note, smooth: lineAt(near, note.writtenMidi) ?? note.value };
  });
  const off = smoothed.map(({ value, smooth }) => value - smooth);
  const scatter = Math.max(uneven / 6, 1.4826 * (median(off.map(Math.abs)) ?? 0));
  const notes = smoothed.map((note, i) => ({ ...note, z: off[i] / scatter }));
  const rms = Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / off.length);
  return {
    index: Math.round(100 * Math.max(0, 1 - rms / uneven)),
    notes,
    stickOut: notes
      .filter(({ z }) => Math.abs(z) >= LEAST_Z)
      .toSorted((a, b) => Math.abs(b.z) - Math.abs(a.z))
      .slice(0, 3),
  };
}

/** The line through notes at a place; their median where they are few. Null for none. */
function lineAt(notes: readonly NoteValue[], midi: number): number | null {
  if (notes.length === 0) return null;
  const slopes = notes.map((a) =>
    median(notes.filter((b) => b !== a).map((b) => (b.value - a.value) / (b.writtenMidi - a.writtenMidi))),
  );
  const slope = notes.length < 4 ? 0 : (median(slopes.filter((each) => each !== null)) ?? 0);
  return median(notes.map(({ value, writtenMidi }) => value + slope * (midi - writtenMidi)));
}
