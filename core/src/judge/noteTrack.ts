import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { centsBetween, type PitchTarget } from '../horn/index.ts';
import { partialOf, type ToneSpan } from '../tone/index.ts';

const EDGE_FRAMES = Math.round(0.15 / FRAME_SECONDS);
/** A slurred note needs this long to be itself. */
const SLURRED_FRAMES = Math.round(0.3 / FRAME_SECONDS);

/**
 * One note made ready for measuring: a value a frame of its *steady part* (from 150 ms after its onset, 300 ms after a
 * slur, to 150 ms before its end), NaN where it must not be used.
 */
export interface NoteTrack {
  /** Seconds on the take's clock. */
  timeSeconds: Float64Array;
  /** Cents from the target, on the written partial only: a jump is an event, not a pitch. */
  cents: Float64Array;
  /** dBFS; NaN under a metronome click. */
  levelDb: Float64Array;
  /** Mean harmonic number and breath in dB; NaN without pitch. */
  brightness: Float64Array;
  breathDb: Float64Array;
}

/** Reads the steady part of a tone. Arrays are empty where the tone is shorter than 0.3 s. */
export function readNote(
  track: FrameTrack,
  span: ToneSpan,
  target: PitchTarget,
  masked: Uint8Array,
  isSlurred = false,
): NoteTrack {
  const first = span.first + (isSlurred ? SLURRED_FRAMES : EDGE_FRAMES);
  const length = Math.max(0, span.last - EDGE_FRAMES - first + 1);
  const { columns } = track;
  const onPartial = (f0Hz: number) => partialOf(f0Hz, target.tubeHz) === target.partial;
  const value = (i: number, read: (frame: number) => number) =>
    masked[first + i] === 1 ? Number.NaN : read(first + i);
  const fill = (read: (frame: number) => number) => Float64Array.from({ length }, (_, i) => value(i, read));
  return {
    timeSeconds: Float64Array.from({ length }, (_, i) => (first + i) * FRAME_SECONDS),
    cents: fill((frame) => {
      const f0Hz = columnValue(columns.f0Hz, frame);
      return f0Hz !== null && onPartial(f0Hz) ? centsBetween(f0Hz, target.targetHz) : Number.NaN;
    }),
    levelDb: fill((frame) => columns.levelDb[frame]),
    brightness: fill((frame) => columns.brightness[frame]),
    breathDb: fill((frame) => columns.breathDb[frame]),
  };
}

/** Several notes measured as one, in order of time. */
export function joinNotes(notes: readonly NoteTrack[]): NoteTrack {
  const join = (read: (note: NoteTrack) => Float64Array) =>
    Float64Array.from(notes.flatMap((note) => Array.from(read(note))));
  return {
    timeSeconds: join((note) => note.timeSeconds),
    cents: join((note) => note.cents),
    levelDb: join((note) => note.levelDb),
    brightness: join((note) => note.brightness),
    breathDb: join((note) => note.breathDb),
  };
}

/** The values that may be used. */
export function present(values: Float64Array): Float64Array {
  return values.filter((value) => !Number.isNaN(value));
}
