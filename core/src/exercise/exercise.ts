import type { KeyId, WrittenMidi } from '../horn/index.ts';
import type { MajorKey } from './keys.ts';
import type { DynamicMark } from './dynamics.ts';

/** Where a note's dynamics turn: linear on the player's dB scale from one point to the next. */
export interface DynamicPoint {
  beat: number;
  mark: DynamicMark;
}

/** How far the pitch is to be bent away from the note: linear between the points, held after the last. */
export interface BendPoint {
  beat: number;
  cents: number;
}

/** A word to think of from a beat on: a vowel, a place of the lip. */
export interface Word {
  beat: number;
  text: string;
}

/** What an item may be judged by. */
export const JUDGED = [
  'pitch',
  'dynamics',
  'beat',
  'start',
  'hold',
  'slur',
  'line',
  'silence',
  'colour',
  'match',
  'tone',
  'vibrato',
] as const;
export type Judged = (typeof JUDGED)[number];

export const ATTACKS = ['any', 'tongued', 'breath', 'slurred'] as const;
/** How a note begins; `slurred`: out of the note before it, without a hole. */
export type Attack = (typeof ATTACKS)[number];

export const VIBRATOS = ['off', 'normal', 'slow'] as const;
/** How the pitch is to swing; see `VIBRATO_HZ` of the judge. */
export type Vibrato = (typeof VIBRATOS)[number];

export interface NoteItem {
  kind: 'note';
  writtenMidi: WrittenMidi;
  /** The written note whose regular fingering is held; null where it is that of the note itself. */
  fingered: WrittenMidi | null;
  /** The keys that are pressed, where they are not the regular ones; absent: those of `fingered`. */
  keys?: KeyId[];
  lengthBeats: number;
  /** Held as long as it stays good: `lengthBeats` is then the most that is asked for. */
  open: boolean;
  /** First point at beat 0, last at `lengthBeats`, beats rising. */
  dynamics: DynamicPoint[];
  attack: Attack;
  /** Null: whatever can be judged of such a note. */
  judged: Judged[] | null;
  /** Absent: a full one. */
  tone?: 'subtone';
  /** Absent: as the player likes, not judged. */
  vibrato?: Vibrato;
  /** Bent with one fingering; absent: held where it is. */
  bend?: BendPoint[];
  words?: Word[];
}

export interface RestItem {
  kind: 'rest';
  lengthBeats: number;
  /** `none`: the air is held, a breath in the gap is a fault. */
  breath: 'free' | 'none';
}

/** Air through a fingering without a tone. */
export interface AirItem {
  kind: 'air';
  writtenMidi: WrittenMidi;
  lengthBeats: number;
  words?: Word[];
}

/** The player hums or sings the note, in any octave. */
export interface HumItem {
  kind: 'hum';
  writtenMidi: WrittenMidi;
  lengthBeats: number;
}

/** A silence in which the player imagines the note that comes. */
export interface ImagineItem {
  kind: 'imagine';
  writtenMidi: WrittenMidi;
  lengthBeats: number;
}

/** The app sounds the note and the player listens. */
export interface HearItem {
  kind: 'hear';
  writtenMidi: WrittenMidi;
  lengthBeats: number;
}

/** Whatever one likes: recorded, not judged. */
export interface FreeItem {
  kind: 'free';
  lengthBeats: number;
  /** The written note whose regular fingering is held all through: what spoke on it is listed. Absent: any. */
  fingered?: WrittenMidi;
}

export type ExerciseItem = NoteItem | RestItem | AirItem | HumItem | HearItem | ImagineItem | FreeItem;

/** The kinds of items, in the order in which they are offered. */
export const ITEM_KINDS = [
  'note',
  'rest',
  'air',
  'hear',
  'hum',
  'imagine',
  'free',
] as const satisfies readonly ExerciseItem['kind'][];

/** What is not played by the player. */
export const SILENT = ['rest', 'hear', 'imagine'] as const satisfies readonly ExerciseItem['kind'][];

/** What is played in one go and becomes one take. */
export interface Phrase {
  items: ExerciseItem[];
  /** `one`: all of it in one breath. */
  breath: 'one' | 'free';
  repeats: number;
  /** It goes on until the player stops: what was not come to at its end was not asked. Absent: all of it is asked. */
  open?: true;
  /** Its repeats go on for so many seconds from the first of them, and the others are left out; absent: each is played. */
  forSeconds?: number;
  /** Rest after this phrase; absent: as the exercise has it. */
  rest?: RestRule;
  /** The scale it is made of, by its major key; absent: none. */
  key?: MajorKey;
}

export const PACES = ['playToStart', 'countIn', 'ownTime'] as const;
/**
 * In time, where the first note of a phrase is the beat (`playToStart`) or beat 0 follows a bar that is counted (`countIn`); or in
 * the player's own time (`ownTime`): each note is held until the player moves, and its length says only what is usual.
 */
export type Pace = (typeof PACES)[number];

export const ORDERS = ['asWritten', 'upward', 'downward', 'middleOutward'] as const;
/** Path of the phrases by their lowest note. */
export type PhraseOrder = (typeof ORDERS)[number];

/** Between two phrases: as long as was played, so many beats, or until the player starts again. */
export type RestRule = { kind: 'asPlayed' } | { kind: 'beats'; beats: number } | { kind: 'wait' };

export const BODIES = ['horn', 'neck', 'mouthpiece'] as const;
/** What is played on. Notes of neck and mouthpiece are "written" as the horn would write the pitch that sounds. */
export type Body = (typeof BODIES)[number];

/** Version 3 of the language: phrases of items in one tempo, or in the player's own time. */
export interface Exercise {
  version: 3;
  /** Name of the built-in family, or null for an own exercise. */
  family: string | null;
  /** What the player calls an own exercise, and its place on the shelf. */
  name?: string;
  shelfId?: string;
  /** Absent: the whole horn. */
  body?: Body;
  tempoBpm: number;
  /** Where the exercise still makes sense: slowest and fastest. Null: any tempo. */
  tempoRangeBpm: [number, number] | null;
  beatsPerBar: number;
  start: Pace;
  order: PhraseOrder;
  rest: RestRule;
  /** When a phrase breaks: stop at once, or play it to its end. */
  onFault: 'stop' | 'finish';
  /** Overtones as the tube gives them, or in equal temperament. */
  overtones: 'pure' | 'tempered';
  phrases: Phrase[];
}
