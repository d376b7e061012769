import type { DynamicScale } from '@inner-hum/core/exercise';
import type { FrameColumns } from '@inner-hum/core/hearing';
import type { HornId, NoteNaming } from '@inner-hum/core/horn';
import type { TakeAnalysis, TakeContext, TakeLoudness, ToleranceId } from '@inner-hum/core/judge';

export interface TakeRecord {
  id: string;
  /** `recording` until the take has ended and been judged. */
  state: 'recording' | 'kept';
  /** A swell is judged by its context; free playing is kept as it is. */
  kind: 'swell' | 'free';
  startedAt: number;
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
  playerNote: string;
  /** Found on the next visit after the page had gone while it was played. */
  recovered: boolean;
  deletedAt: number | null;
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

/** Everything of one take. */
export interface WholeTake {
  record: TakeRecord;
  columns: FrameColumns;
  samples: Float32Array<ArrayBuffer>;
}

/** One row, id `settings`. */
export interface SettingsRecord {
  id: 'settings';
  visited: boolean;
  hornId: HornId;
  source: 'microphone' | 'standIn';
  profileId: string;
  a4Hz: number;
  naming: NoteNaming;
  pitchShown: 'written' | 'sounding';
  toleranceId: ToleranceId;
  theme: 'system' | 'daylight' | 'stage';
  singleKeys: boolean;
  tempoBpm: number;
  click: 'heard' | 'seen' | 'both' | 'off';
  eyes: 'watch' | 'blind';
  minutes: number | null;
  /** The one key of each Stand action that has one; pedals, space and enter are fixed. */
  keys: StandKeys;
}

export interface StandKeys {
  watch: string;
  blind: string;
  click: string;
  keep: string;
}

/** One row per microphone place; the newest counts. */
export interface CalibrationRecord {
  id: string;
  madeAt: number;
  roomFloorDb: number | null;
  scale: DynamicScale | null;
  roundTripSeconds: number | null;
}

export const DEFAULT_SETTINGS: SettingsRecord = {
  id: 'settings',
  visited: false,
  hornId: 'alto',
  source: 'microphone',
  profileId: 'goodDay',
  a4Hz: 440,
  naming: 'letters',
  pitchShown: 'written',
  toleranceId: 'usual',
  theme: 'system',
  singleKeys: true,
  tempoBpm: 60,
  click: 'seen',
  eyes: 'watch',
  minutes: null,
  keys: { watch: '1', blind: '2', click: '3', keep: 'k' },
};
