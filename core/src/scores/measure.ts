import type { MajorKey } from '../exercise/index.ts';
import type { ScoreDynamic, ScoreNote } from './scorePart.ts';
import type { MeasureRoad } from './unroll.ts';

/** What a measure holds before repeats are played out; beats from its own beginning. */
export interface Measure {
  number: string;
  lengthBeats: number;
  key: MajorKey | null;
  notes: (Omit<ScoreNote, 'fingeredMidi'> & Head)[];
  dynamics: ScoreDynamic[];
  road: MeasureRoad;
  tempoBpm: number | null;
}

/** What is known of a note besides its pitch and time. */
interface Head {
  voice: string;
  staff: number;
  tiedBack: boolean;
  tiedOn: boolean;
  isDiamond: boolean;
}

/** What holds from measure to measure. */
export interface PartState {
  divisions: number;
  transposition: number;
  key: MajorKey | null;
  openSlurs: Set<string>;
  /** Beats of a full measure by the time signature. */
  metreBeats: number;
  endings: number[];
}

/** The road of a measure while it is being read. */
export type OpenRoad = { -readonly [Name in keyof MeasureRoad]: MeasureRoad[Name] };
