import {
  CAUTIONS,
  EXPERIENCES,
  GATES,
  LEAST_MIDI,
  MOST_MIDI,
  PATH_IDS,
  STEPS_OF_PATH,
} from '@inner-hum/core/exercise';
import { HORN_IDS, TOP_KEYS } from '@inner-hum/core/horn';
import type { SettingsRecord } from './settingsRecord.ts';

// Plain functions rather than schemas: they are read before the first room stands, and a library would weigh as much as a room.

type Check = (value: unknown) => boolean;

const oneOf =
  (...names: readonly string[]): Check =>
  (value) =>
    names.some((name) => name === value);
const isFlag: Check = (value) => typeof value === 'boolean';
const isText =
  (most: number): Check =>
  (value) =>
    typeof value === 'string' && value.length <= most;
const between =
  (least: number, most: number): Check =>
  (value) =>
    typeof value === 'number' && value >= least && value <= most;
const whole =
  (least: number, most: number): Check =>
  (value) =>
    Number.isInteger(value) && between(least, most)(value);
const orNull =
  (check: Check): Check =>
  (value) =>
    value === null || check(value);
const listOf =
  (check: Check, most: number): Check =>
  (value) =>
    Array.isArray(value) && value.length <= most && value.every(check);

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Each of these names, and nothing wrong under any. */
const shaped =
  (checks: Readonly<Record<string, Check>>): Check =>
  (value) =>
    isObject(value) && Object.entries(checks).every(([name, check]) => check(value[name]));
/** Some of these names, each with such a value. */
const someOf =
  (names: readonly string[], check: Check): Check =>
  (value) =>
    isObject(value) && names.every((name) => value[name] === undefined || check(value[name]));

const isKey: Check = (value) => typeof value === 'string' && /^[a-z0-9]$/.test(value);
const isMidi = whole(LEAST_MIDI, MOST_MIDI);
const isBars = whole(1, 8);
const isDecibels = between(-40, 60);
const areDays = orNull(whole(7, 1500));
const areMinutes = orNull(between(1, 240));

/** Intervals in half steps, as names of a row. */
const HALF_STEPS = Array.from({ length: 60 }, (_, i) => String(i));

/** What may stand in the settings row; anything else falls back to its default, field by field. */
export const SETTINGS_CHECKS: Record<Exclude<keyof SettingsRecord, 'id'>, Check> = {
  visited: isFlag,
  hornId: oneOf(...HORN_IDS),
  source: oneOf('microphone', 'standIn'),
  microphone: orNull(shaped({ id: isText(300), name: isText(300) })),
  profileId: isText(40),
  pace: oneOf('realTime', 'quick'),
  a4Hz: between(390, 470),
  ranges: someOf(HORN_IDS, shaped({ lowest: isMidi, highest: isMidi })),
  topKeys: someOf(HORN_IDS, oneOf(...TOP_KEYS)),
  language: oneOf('device', 'en', 'de', 'it'),
  naming: oneOf('letters', 'german', 'fixedDo'),
  pitchShown: oneOf('written', 'sounding'),
  csv: oneOf('language', 'comma', 'semicolon'),
  toleranceId: oneOf('relaxed', 'usual', 'strict'),
  theme: oneOf('system', 'daylight', 'stage'),
  singleKeys: isFlag,
  tempoBpm: between(20, 300),
  click: oneOf('heard', 'seen', 'both', 'off'),
  eyes: oneOf('watch', 'blind'),
  minutes: areMinutes,
  experience: orNull(oneOf(...EXPERIENCES)),
  openGates: listOf(oneOf(...GATES), GATES.length),
  paths: someOf(PATH_IDS, shaped({ step: whole(0, STEPS_OF_PATH), since: between(0, 1e15) })),
  // A wish about what the plan does not know changes nothing.
  planWishes: listOf(shaped({ skill: isText(20), zone: isText(20), wish: oneOf('more', 'less') }), 100),
  beatsPerBar: whole(1, 12),
  subdivision: whole(1, 4),
  accent: isFlag,
  felt: isFlag,
  silentBars: orNull(shaped({ sounding: isBars, silent: isBars })),
  drone: shaped({
    on: isFlag,
    midi: orNull(isMidi),
    tuning: oneOf('tempered', 'pure'),
    timbre: oneOf('flute', 'reed', 'fifth'),
  }),
  favourites: listOf(isText(60), 500),
  intervalNames: isFlag,
  intervalLines: someOf(HALF_STEPS, isText(60)),
  cautionsReadAt: someOf(CAUTIONS, (value) => typeof value === 'number'),
  mouthpieceIds: someOf(HORN_IDS, isText(60)),
  reedKinds: someOf(HORN_IDS, isText(40)),
  reedIds: someOf(HORN_IDS, isText(60)),
  checkEveryDays: shaped({ leakTest: areDays, technician: areDays }),
  subtoneWindow: shaped({
    leastAirierDb: isDecibels,
    mostBreathDb: isDecibels,
    softerDb: (value) => listOf(isDecibels, 2)(value) && (value as unknown[]).length === 2,
    mostBrightness: between(0.1, 1.5),
  }),
  dismissedFindings: listOf(isText(300), 500),
  caps: shaped({ highMinutes: areMinutes, loudMinutes: areMinutes }),
  archivedAt: between(0, Infinity),
  rowsCheckedDay: isText(10),
  keys: shaped({
    watch: isKey,
    blind: isKey,
    click: isKey,
    drone: isKey,
    keep: isKey,
    pause: isKey,
    skip: isKey,
    tap: isKey,
  }),
};
