import type { Caution, Experience, Gate, PathId, PathPlace } from '@inner-hum/core/exercise';
import type { CsvStyle } from '@inner-hum/core/formats';
import type { HornId, NoteNaming, NoteRange, TopKey } from '@inner-hum/core/horn';
import type { PlanWish } from '@inner-hum/core/plan';
import { SUBTONE_WINDOW, type SubtoneWindow, type ToleranceId } from '@inner-hum/core/judge';

/** One row, id `settings`. */
export interface SettingsRecord {
  id: 'settings';
  visited: boolean;
  hornId: HornId;
  source: 'microphone' | 'standIn';
  /** The microphone that was chosen, with the name it had; null: the system's default. */
  microphone: { id: string; name: string } | null;
  profileId: string;
  /** How fast the simulated player plays: as players do, or as fast as it is heard. */
  pace: 'realTime' | 'quick';
  a4Hz: number;
  /** The notes the player works on, where they are not all that the horn has. */
  ranges: Partial<Record<HornId, NoteRange>>;
  /** The highest key that the horn has, where it is not high F#. */
  topKeys: Partial<Record<HornId, TopKey>>;
  /** Of the interface; `device`: as the browser asks. Note names have their own setting. */
  language: 'device' | 'en' | 'de' | 'it';
  naming: NoteNaming;
  pitchShown: 'written' | 'sounding';
  /** How tables for spreadsheets are written; `language`: as is usual in that of the interface. */
  csv: CsvStyle | 'language';
  toleranceId: ToleranceId;
  theme: 'system' | 'daylight' | 'stage';
  singleKeys: boolean;
  tempoBpm: number;
  click: 'heard' | 'seen' | 'both' | 'off';
  eyes: 'watch' | 'blind';
  minutes: number | null;
  /** How long the player has played; null: not asked, and every drill may come onto a sheet. */
  experience: Experience | null;
  /** What the player wants on the sheet before it has opened by itself. */
  openGates: readonly Gate[];
  /** Where the player stands on each path that was begun. */
  paths: Partial<Record<PathId, PathPlace>>;
  /** What the player wants more or less of than the plan found. */
  planWishes: readonly PlanWish[];
  /** Of the free desk; an exercise has its own. */
  beatsPerBar: number;
  /** Clicks a beat, and whether the first of a bar is louder. */
  subdivision: number;
  accent: boolean;
  /** Whether the device trembles on each beat, where it can. */
  felt: boolean;
  /** Bars with a beat, then bars without; null: every bar has one. */
  silentBars: { sounding: number; silent: number } | null;
  drone: DroneSettings;
  /** The one key of each Stand action that has one; pedals, space and enter are fixed. */
  keys: StandKeys;
  /** Families and own exercises that the player wants at hand. */
  favourites: string[];
  /** Whether the name of an imagined interval is seen on the Stand, and what the player remembers each by, in half steps. */
  intervalNames: boolean;
  intervalLines: Readonly<Record<number, string>>;
  /** When each caution was last read, in ms. */
  cautionsReadAt: Partial<Record<Caution, number>>;
  /** The mouthpiece on each horn, where it is not the first one. */
  mouthpieceIds: Partial<Record<HornId, string>>;
  /** The kind of reed on each horn, as the player calls it. */
  reedKinds: Partial<Record<HornId, string>>;
  /** The reed on each horn, where it is one of the Case. */
  reedIds: Partial<Record<HornId, string>>;
  /** Days after which a horn check is due again; null: no reminder. */
  checkEveryDays: { leakTest: number | null; technician: number | null };
  /** What counts as a subtone. */
  subtoneWindow: SubtoneWindow;
  /** Findings of the Horn map that were put aside, by what they rest on. */
  dismissedFindings: string[];
  /** Minutes a day that the player wants not to pass; null: no limit. */
  caps: { highMinutes: number | null; loudMinutes: number | null };
  /** When everything was last saved as an archive, in ms; 0: never. */
  archivedAt: number;
  /** The day (`yyyy-MM-dd`) on which every row was last looked at; empty: never. */
  rowsCheckedDay: string;
}

export interface DroneSettings {
  on: boolean;
  /** A written note, or the one that is played. */
  midi: number | null;
  /** Tempered like a piano, or in a pure interval to the note that is played. */
  tuning: 'tempered' | 'pure';
  timbre: 'flute' | 'reed' | 'fifth';
}

export interface StandKeys {
  watch: string;
  blind: string;
  click: string;
  drone: string;
  keep: string;
  pause: string;
  skip: string;
  tap: string;
}

export const DEFAULT_SETTINGS: SettingsRecord = {
  id: 'settings',
  visited: false,
  hornId: 'alto',
  source: 'microphone',
  microphone: null,
  profileId: 'goodDay',
  pace: 'realTime',
  a4Hz: 440,
  ranges: {},
  topKeys: {},
  language: 'device',
  naming: 'letters',
  pitchShown: 'written',
  csv: 'language',
  toleranceId: 'usual',
  theme: 'system',
  singleKeys: true,
  tempoBpm: 60,
  click: 'seen',
  eyes: 'watch',
  minutes: null,
  experience: null,
  openGates: [],
  paths: {},
  planWishes: [],
  beatsPerBar: 4,
  subdivision: 1,
  accent: true,
  felt: false,
  silentBars: null,
  drone: { on: false, midi: null, tuning: 'tempered', timbre: 'flute' },
  favourites: [],
  intervalNames: true,
  intervalLines: {},
  cautionsReadAt: {},
  mouthpieceIds: {},
  reedKinds: {},
  reedIds: {},
  checkEveryDays: { leakTest: 90, technician: 365 },
  dismissedFindings: [],
  subtoneWindow: SUBTONE_WINDOW,
  caps: { highMinutes: 15, loudMinutes: null },
  archivedAt: 0,
  rowsCheckedDay: '',
  keys: { watch: '1', blind: '2', click: '3', drone: '4', keep: 'k', pause: 'p', skip: 'n', tap: 't' },
};
