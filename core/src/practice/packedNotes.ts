import { KEPT_FIGURES } from '../figures/index.ts';
import { writtenMidi } from '../horn/index.ts';
import { CoreError } from '../signal/index.ts';
import type { PractisedNote } from './practisedNotes.ts';

/** Many practised notes in little room: one row of numbers a note. */
export interface PackedNotes {
  /** Families by their place; null is an own exercise. */
  families: (string | null)[];
  /** Moments count from here, in ms. */
  fromMs: number;
  /** Row by row: family, written, fingered, seconds after `fromMs`, seconds, as written (0 or 1), then the figures; NaN is no answer. */
  rows: Float32Array<ArrayBuffer>;
}

const BEFORE_FIGURES = 6;
const WIDTH = BEFORE_FIGURES + KEPT_FIGURES.length;

/** Packs notes of one day, which is kept beside them; moments to a second, figures to single precision. */
export function packNotes(notes: readonly PractisedNote[]): PackedNotes {
  const families = [...new Set(notes.map(({ family }) => family))];
  const fromMs = notes.reduce((first, { at }) => Math.min(first, at), notes.at(0)?.at ?? 0);
  const rows = new Float32Array(WIDTH * notes.length);
  notes.forEach((note, i) => {
    rows.set(
      [
        families.indexOf(note.family),
        note.writtenMidi,
        note.fingeredMidi,
        (note.at - fromMs) / 1000,
        note.seconds,
        note.asWritten ? 1 : 0,
        ...note.figures.map((value) => value ?? NaN),
      ],
      i * WIDTH,
    );
  });
  return { families, fromMs, rows };
}

/** Reads the packed notes of a day. Throws `packed-rows` where the rows are not whole. */
export function unpackNotes({ day, notes }: { day: string; notes: PackedNotes }): PractisedNote[] {
  const { families, fromMs, rows } = notes;
  if (rows.length % WIDTH !== 0)
    throw new CoreError('packed-rows', `${rows.length} numbers are not rows of ${WIDTH}.`);
  return Array.from({ length: rows.length / WIDTH }, (_, i) => {
    const [family, written, fingered, at, seconds, asWritten, ...figures] = rows.subarray(
      i * WIDTH,
      (i + 1) * WIDTH,
    );
    return {
      family: families.at(family) ?? null,
      writtenMidi: writtenMidi(written),
      fingeredMidi: writtenMidi(fingered),
      day,
      at: fromMs + Math.round(1000 * at),
      seconds,
      asWritten: asWritten === 1,
      figures: figures.map((value) => (Number.isNaN(value) ? null : value)),
    };
  });
}
