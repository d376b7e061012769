import type { WrittenMidi } from '../horn/index.ts';
import type { DynamicMark } from './dynamics.ts';

/** Where a note's dynamics turn: linear on the player's dB scale from one point to the next. */
export interface DynamicPoint {
  beat: number;
  mark: DynamicMark;
}

export interface NoteItem {
  kind: 'note';
  writtenMidi: WrittenMidi;
  lengthBeats: number;
  /** First point at beat 0, last at `lengthBeats`, beats rising. */
  dynamics: DynamicPoint[];
}

export type ExerciseItem = NoteItem;

/** `playToStart`: beat 0 is the first tone heard. `countIn`: one bar is counted, beat 0 follows it. */
export type StartMode = 'playToStart' | 'countIn';

/** Version 1 of the language: a row of items in one tempo. */
export interface Exercise {
  version: 1;
  tempoBpm: number;
  beatsPerBar: number;
  start: StartMode;
  items: ExerciseItem[];
}
