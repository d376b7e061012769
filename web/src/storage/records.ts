import type { Choices, DynamicScale, Exercise, FamilyId } from '@inner-hum/core/exercise';
import type { Task } from '@inner-hum/core/formats';
import type { FrameColumns } from '@inner-hum/core/hearing';
import type { HornId, WrittenMidi } from '@inner-hum/core/horn';
import type { PitchGuess, PlayingLoad, TakeAnalysis, TakeContext, TakeLoudness } from '@inner-hum/core/judge';
import type { Aim } from '@inner-hum/core/plan';
import type { ItemFault, SimulatedProfile } from '@inner-hum/core/simulated';
import type { CallMade, Goal, PackedNotes } from '@inner-hum/core/practice';
import type { CueTrial, Question, TrialMeasure } from '@inner-hum/core/trial';
import type { Gear } from './gearRecords.ts';

export interface TakeRecord extends Gear {
  id: string;
  /** `recording` until the take has ended and been judged. */
  state: 'recording' | 'kept';
  /** An exercise is judged by its context; free playing is kept as it is; what somebody else played counts for nothing of the player's. */
  kind: 'exercise' | 'free' | 'other';
  /** The round it was played in, and which phrase of it this is; null and 0 for a take by itself. */
  roundId: string | null;
  phrase: number;
  /** What the player called after a blind take, before it was shown; null where nothing was called. */
  call: PitchGuess | null;
  startedAt: number;
  /** `yyyy-MM-dd` and `HH:mm` when it was begun, by the clock of the place where it was played. */
  day: string;
  clock: string;
  hornId: HornId;
  a4Hz: number;
  scale: DynamicScale;
  source: 'microphone' | 'standIn';
  eyes: 'watch' | 'blind';
  sampleRateHz: number;
  lengthSeconds: number;
  context: TakeContext | null;
  /** Where clicks were due on the take's clock while it was played, and where they were found in its sound. */
  dueClickSeconds: number[];
  foundClickSeconds: number[];
  analysis: TakeAnalysis | null;
  loudness: TakeLoudness | null;
  /** Null in takes from before this was counted. */
  playingLoad: PlayingLoad | null;
  playerNote: string;
  /** Found on the next visit after the page had gone while it was played. */
  recovered: boolean;
  deletedAt: number | null;
  /** Made by the database whenever the take is written. */
  keys?: TakeKeys;
}

/** What a take is found by among thousands without reading them; made anew whenever a take is written. What is absent is not found by it. */
export interface TakeKeys {
  /** The first written note as a MIDI number, or `free`. */
  note: string;
  /** Of a judged take: its exercise on the shelf; horn and source. */
  shelf?: string;
  judged?: string;
  /** Of a listed take of a drill that is compared with its past: which past, and what this one came to. */
  record?: string;
  figure?: number;
  /** Of a take with words of the player's. */
  noted?: 1;
}

/** An exercise gone through phrase by phrase; each phrase is a take. */
export interface RoundRecord {
  id: string;
  startedAt: number;
  hornId: HornId;
  exercise: Exercise;
  /** Where it is played again. */
  address: string;
}

/** An exercise of the player's own, as it is being written: it may not be playable yet. */
export interface OwnExercise {
  id: string;
  exercise: Exercise;
  createdAt: number;
  changedAt: number;
  deletedAt: number | null;
}

/** What the player wrote on a day. */
export interface DayNoteRecord {
  /** `yyyy-MM-dd`. */
  day: string;
  text: string;
  /** Of the room; null where it was not said. */
  temperatureC: number | null;
}

/** What the takes of one day on one horn with one mouthpiece and reed come to. */
export interface PracticeDayRecord extends Pick<Gear, 'mouthpieceId' | 'reedId' | 'reedKind'> {
  id: string;
  /** `yyyy-MM-dd`. */
  day: string;
  hornId: HornId;
  source: TakeRecord['source'];
  takes: number;
  /** Seconds of tone in all of it, and in free playing alone. */
  playedSeconds: number;
  freeSeconds: number;
  /** What the player wrote on its takes. */
  words: string;
  /** Judged notes; see the core's `PackedNotes`. */
  notes: PackedNotes;
  /** What was called over its blind takes. */
  calls: CallMade[];
}

/** Two cues tried against each other; everything is fixed before the first note. */
export interface TrialRecord extends CueTrial {
  id: string;
  hornId: HornId;
  createdAt: number;
  question: Question;
  measure: TrialMeasure;
  deletedAt: number | null;
}

/** What the player wants to reach. */
export interface AimRecord {
  id: string;
  hornId: HornId;
  /** In the player's own words. */
  text: string;
  goal: Goal;
  /** `yyyy-MM-dd`; null: no day. */
  byDay: string | null;
  createdAt: number;
  /** Put away as reached or no longer wanted, in ms; null while it counts. */
  doneAt: number | null;
}

/** What a teacher asked for, and a pupil keeps. */
export interface TaskRecord {
  id: string;
  /** Who gave it, in their own words. */
  from: string;
  note: string;
  /** `yyyy-MM-dd`; null: no day. */
  byDay: string | null;
  /** Drills with what was chosen of them, and exercises that lie on the shelf. */
  items: { family: FamilyId | null; choices: Choices; exerciseId: string | null }[];
  path: Task['path'];
  /** In ms. */
  createdAt: number;
  doneAt: number | null;
  deletedAt: number | null;
}

/** What the player decided on one fingering of a high note; what nothing was decided on has no row. */
export interface HighFingeringRecord {
  /** Mouthpiece, note and keys: the same fingering is never there twice. */
  id: string;
  mouthpieceId: string;
  writtenMidi: WrittenMidi;
  /** As one word, see `fingeringKey`. */
  fingering: string;
  /** The one the player settled on; one a note at most. */
  preferred: boolean;
  /** Off the chart, though its tries are kept; a fingering to start from that was taken off stays off. */
  removed: boolean;
  changedAt: number;
}

/** What the takes of one day tell of every note, with one set-up, from one kind of source; see the core's `DayCells`. */
export interface TendencyDayRecord {
  id: string;
  /** Mouthpiece and kind of reed; see `setupKey`. */
  setup: string;
  source: TakeRecord['source'];
  /** `yyyy-MM-dd`. */
  day: string;
  cells: Float32Array<ArrayBuffer>;
}

/** Today's sheet: what was asked for and what is done; the lines follow from it and from the takes of before `plannedAt`. */
export interface SheetRecord {
  /** `yyyy-MM-dd`. */
  day: string;
  minutes: number;
  aim: Aim;
  /** Of the school of one family. */
  family: FamilyId;
  plannedAt: number;
  /** Keys of lines that stay; slots that are not wanted; keys of what is done. */
  kept: string[];
  notToday: string[];
  done: string[];
}

/** Part of a take's sound; parts are numbered from 0 without holes. */
export interface ChunkRecord {
  takeId: string;
  index: number;
  samples: Float32Array<ArrayBuffer>;
}

export interface FramesRecord {
  takeId: string;
  columns: FrameColumns;
}

/** The sound of a take that has ended, in one piece: packed without loss, or (`samples`) as it is where it cannot be packed. */
export interface SoundRecord {
  takeId: string;
  sampleRateHz: number;
  sampleCount: number;
  flac: Uint8Array<ArrayBuffer> | null;
  samples: Float32Array<ArrayBuffer> | null;
}

/** A row that could not be read, kept as it was found. */
export interface QuarantineRecord {
  id: string;
  table: string;
  /** What is wrong with it. */
  why: string;
  quarantinedAt: number;
  row: unknown;
}

/** What the simulated player was told to play in a take whose sound is not stored: it is played again, the same, when it is wanted. */
export interface PerformanceRecord {
  takeId: string;
  profile: SimulatedProfile;
  faults: ItemFault[];
  seed: number;
}

/** Everything of one take. */
export interface WholeTake {
  record: TakeRecord;
  columns: FrameColumns;
  samples: Float32Array<ArrayBuffer>;
}

/** The folder that the player gave for copies of everything. */
export interface FolderRecord {
  id: 'copies';
  handle: FileSystemDirectoryHandle;
  /** When all of it was last written, in ms; 0: never. */
  writtenAt: number;
  /** Months (`yyyy-MM`) and what each held when it was written. */
  months: Record<string, string>;
}

/** One row per microphone place; the newest counts. */
export interface CalibrationRecord {
  id: string;
  madeAt: number;
  roomFloorDb: number | null;
  scale: DynamicScale | null;
  roundTripSeconds: number | null;
}
