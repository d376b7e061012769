import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
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
  centroidHarmonics: Float64Array;
  noiseToHarmonicDb: Float64Array;
}

/** A note shorter than this is read in its middle half, if that is long enough to have a pitch. */
const SHORT_FRAMES = Math.round(0.45 / FRAME_SECONDS);
const LEAST_FRAMES = Math.round(0.08 / FRAME_SECONDS);

/** First frame and number of frames of the steady part; of a short note its middle half, or nothing under 80 ms. */
function steadyPart({ first, last }: ToneSpan, isSlurred: boolean): { first: number; length: number } {
  const frames = last - first + 1;
  const edge = isSlurred ? SLURRED_FRAMES : EDGE_FRAMES;
  const length = frames - edge - EDGE_FRAMES;
  if (frames >= SHORT_FRAMES && length >= LEAST_FRAMES) return { first: first + edge, length };
  const middle = Math.floor(frames / 2);
  return { first: first + Math.ceil(frames / 4), length: middle < LEAST_FRAMES ? 0 : middle };
}

/** Reads the steady part of a tone. Arrays are empty where the tone is shorter than 0.16 s. */
export function readNote(
  track: FrameTrack,
  span: ToneSpan,
  target: PitchTarget,
  masked: Uint8Array,
  isSlurred = false,
): NoteTrack {
  const { first, length } = steadyPart(span, isSlurred);
  const { columns } = track;
  const onPartial = (f0Hz: number) => partialOf(f0Hz, target.tubeHz) === target.partial;
  const read = (column: Float32Array) => {
    const out = new Float64Array(column.subarray(first, first + length));
    for (let i = 0; i < length; i++) if (masked[first + i] === 1) out[i] = Number.NaN;
    return out;
  };
  const cents = read(columns.f0Hz);
  for (let i = 0; i < length; i++)
    cents[i] = cents[i] > 0 && onPartial(cents[i]) ? centsBetween(cents[i], target.targetHz) : Number.NaN;
  const timeSeconds = new Float64Array(length);
  for (let i = 0; i < length; i++) timeSeconds[i] = (first + i) * FRAME_SECONDS;
  return {
    timeSeconds,
    cents,
    levelDb: read(columns.levelDb),
    centroidHarmonics: read(columns.centroidHarmonics),
    noiseToHarmonicDb: read(columns.noiseToHarmonicDb),
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
    centroidHarmonics: join((note) => note.centroidHarmonics),
    noiseToHarmonicDb: join((note) => note.noiseToHarmonicDb),
  };
}

/** The values that may be used. */
export function present(values: Float64Array): Float64Array {
  const out = new Float64Array(values.length);
  let count = 0;
  for (const value of values) if (!Number.isNaN(value)) out[count++] = value;
  return out.subarray(0, count);
}
