import type { WrittenMidi } from '../horn/index.ts';
import type { HeardTone } from './heardTones.ts';
import type { ItemMeasures } from './measures.ts';
import type { TakeEvent } from './takeEvent.ts';
import type { Verdict } from './verdict.ts';

interface AnyItem {
  /** Which item of the exercise's score. */
  item: number;
  /** When it was heard; null where it was not. */
  startSeconds: number | null;
  endSeconds: number | null;
  events: TakeEvent[];
  /** Null for what is not judged. */
  verdict: Verdict | null;
}

export interface NoteAnalysis extends AnyItem {
  kind: 'note';
  status: 'played' | 'missed' | 'wrongNote';
  writtenMidi: WrittenMidi;
  /** The note that was heard in its place. */
  heardMidi: WrittenMidi | null;
  /** Partial of the fingered tube that sounded for most of it, right or wrong; null where none did. Absent in older takes. */
  heardPartial?: number | null;
  measures: ItemMeasures | null;
}

export interface RestAnalysis extends AnyItem {
  kind: 'rest';
  measures: { gapNoiseDb: number | null };
}

export interface AirAnalysis extends AnyItem {
  kind: 'air';
  status: 'played' | 'missed';
  measures: { airLevelDb: number | null };
}

export interface HumAnalysis extends AnyItem {
  kind: 'hum';
  status: 'played' | 'missed';
  writtenMidi: WrittenMidi;
  /** Hummed pitch against the target, folded into its octave. */
  measures: { humCents: number | null };
}

/** Heard, imagined, played freely: not judged. */
export interface OpenAnalysis extends AnyItem {
  kind: 'hear' | 'imagine' | 'free';
  measures: null;
  /** What spoke, where one fingering was to be held; absent elsewhere. */
  tones?: HeardTone[];
}

/** What became of one item of the exercise. */
export type ItemAnalysis = NoteAnalysis | RestAnalysis | AirAnalysis | HumAnalysis | OpenAnalysis;
