import type { DynamicMark, MajorKey } from '../exercise/index.ts';

/** A note of a part, ties joined. Beats are quarter notes from the beginning, repeats played out. */
export interface ScoreNote {
  startBeat: number;
  lengthBeats: number;
  /** As it sounds and as it stands in the part, MIDI numbers. */
  soundingMidi: number;
  writtenMidi: number;
  /** The note that is fingered, as written, where the part says so (a diamond head on a staff of its own). */
  fingeredMidi: number | null;
  slurred: boolean;
}

export interface ScoreBar {
  startBeat: number;
  lengthBeats: number;
  /** The number that stands in the score; a bar that is repeated has the same again. */
  number: string;
  key: MajorKey | null;
}

/** Where loudness changes: `mark` from here on, or on the way to the next mark. */
export interface ScoreDynamic {
  beat: number;
  mark: DynamicMark | null;
  wedge: 'crescendo' | 'diminuendo' | 'stop' | null;
}

/** One line of music of one player. */
export interface ScorePart {
  name: string;
  /** Sounding minus written, in half steps. */
  transposition: number;
  bars: ScoreBar[];
  notes: ScoreNote[];
  dynamics: ScoreDynamic[];
}

export interface ReadScore {
  title: string;
  tempoBpm: number | null;
  /** Quarter notes a bar, of the first bar. */
  beatsPerBar: number;
  parts: ScorePart[];
}

/** More bars than this, repeats played out, are no exercise; scores of whole pieces have fewer. */
export const MOST_BARS = 4000;
export const MOST_NOTES = 60_000;
/** Of a title or a name: a line. */
export const MOST_LETTERS = 200;
export const MOST_PARTS = 100;
/** Of one part: an organ has three. */
export const MOST_STAVES = 16;

const SLOWEST_BPM = 5;
const FASTEST_BPM = 1000;

/** Beats a minute as a file has them; null where nobody could play so. */
export const playableBpm = (bpm: number | undefined): number | null =>
  bpm !== undefined && bpm >= SLOWEST_BPM && bpm <= FASTEST_BPM ? bpm : null;
