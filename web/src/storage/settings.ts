import * as yup from 'yup';
import { CAUTIONS } from '@inner-hum/core/exercise';
import { HORN_IDS, TOP_KEYS } from '@inner-hum/core/horn';
import { database } from './database.ts';
import { type CalibrationRecord } from './records.ts';
import { DEFAULT_SETTINGS, type SettingsRecord } from './settingsRecord.ts';

const key = yup
  .string()
  .matches(/^[a-z0-9]$/)
  .required();

const midi = yup.number().integer().min(40).max(110).required();
const range = yup.object({ lowest: midi, highest: midi }).default(undefined).optional();

const bars = yup.number().integer().min(1).max(8).required();

const decibels = yup.number().min(-40).max(60).required();
const days = yup.number().integer().min(7).max(1500).nullable().defined();
const minutes = yup.number().min(1).max(240).nullable().defined();

/** What may stand in the settings row; anything else falls back to its default, field by field. */
const fields: Record<Exclude<keyof SettingsRecord, 'id'>, yup.Schema> = {
  visited: yup.boolean().required(),
  hornId: yup.string().oneOf(HORN_IDS).required(),
  source: yup.string().oneOf(['microphone', 'standIn']).required(),
  profileId: yup.string().max(40).required(),
  a4Hz: yup.number().min(390).max(470).required(),
  ranges: yup.object(Object.fromEntries(HORN_IDS.map((id) => [id, range]))).required(),
  topKeys: yup
    .object(
      Object.fromEntries(
        HORN_IDS.map((id) => [id, yup.string().oneOf(TOP_KEYS).default(undefined).optional()]),
      ),
    )
    .required(),
  language: yup.string().oneOf(['device', 'en', 'de', 'it']).required(),
  naming: yup.string().oneOf(['letters', 'german', 'fixedDo']).required(),
  pitchShown: yup.string().oneOf(['written', 'sounding']).required(),
  toleranceId: yup.string().oneOf(['relaxed', 'usual', 'strict']).required(),
  theme: yup.string().oneOf(['system', 'daylight', 'stage']).required(),
  singleKeys: yup.boolean().required(),
  tempoBpm: yup.number().min(20).max(300).required(),
  click: yup.string().oneOf(['heard', 'seen', 'both', 'off']).required(),
  eyes: yup.string().oneOf(['watch', 'blind']).required(),
  minutes: yup.number().min(1).max(240).nullable().defined(),
  beatsPerBar: yup.number().integer().min(1).max(12).required(),
  subdivision: yup.number().integer().min(1).max(4).required(),
  accent: yup.boolean().required(),
  felt: yup.boolean().required(),
  silentBars: yup.object({ sounding: bars, silent: bars }).nullable().defined(),
  drone: yup
    .object({
      on: yup.boolean().required(),
      midi: yup.number().integer().min(40).max(110).nullable().defined(),
      tuning: yup.string().oneOf(['tempered', 'pure']).required(),
      timbre: yup.string().oneOf(['flute', 'reed', 'fifth']).required(),
    })
    .required(),
  favourites: yup.array(yup.string().max(60).required()).max(500).required(),
  cautionsReadAt: yup
    .object(Object.fromEntries(CAUTIONS.map((name) => [name, yup.number().optional()])))
    .required(),
  mouthpieceIds: yup
    .object(Object.fromEntries(HORN_IDS.map((id) => [id, yup.string().max(60).optional()])))
    .required(),
  reedKinds: yup
    .object(Object.fromEntries(HORN_IDS.map((id) => [id, yup.string().max(40).optional()])))
    .required(),
  reedIds: yup
    .object(Object.fromEntries(HORN_IDS.map((id) => [id, yup.string().max(60).optional()])))
    .required(),
  checkEveryDays: yup.object({ leakTest: days, technician: days }).required(),
  subtoneWindow: yup
    .object({
      leastAirierDb: decibels,
      mostBreathDb: decibels,
      softerDb: yup.array(decibels).length(2).required(),
      mostBrightness: yup.number().min(0.1).max(1.5).required(),
    })
    .required(),
  dismissedFindings: yup.array(yup.string().max(300).required()).max(500).required(),
  caps: yup.object({ highMinutes: minutes, loudMinutes: minutes }).required(),
  archivedAt: yup.number().min(0).required(),
  rowsCheckedDay: yup.string().max(10).defined(),
  keys: yup
    .object({ watch: key, blind: key, click: key, drone: key, keep: key, pause: key, skip: key })
    .required(),
};

/** The settings, complete; a damaged or missing field reads as its default. */
export async function readSettings(): Promise<SettingsRecord> {
  const stored = ((await database().settings.get('settings')) ?? {}) as Record<string, unknown>;
  const settings: Record<string, unknown> = { ...DEFAULT_SETTINGS };
  // An action that has come since has no key of the player's yet.
  if (typeof stored.keys === 'object') stored.keys = { ...DEFAULT_SETTINGS.keys, ...stored.keys };
  for (const [name, schema] of Object.entries(fields))
    if (schema.isValidSync(stored[name], { strict: true })) settings[name] = stored[name];
  return settings as unknown as SettingsRecord;
}

type SettingsChange = Partial<Omit<SettingsRecord, 'id'>>;

/** Changes settings; a function is given them as they are stored, so that two changes at once both count. */
export async function changeSettings(
  change: SettingsChange | ((settings: SettingsRecord) => SettingsChange),
): Promise<void> {
  const db = database();
  await db.transaction('rw', db.settings, async () => {
    const settings = await readSettings();
    await db.settings.put({ ...settings, ...(typeof change === 'function' ? change(settings) : change) });
  });
}

/** Keeps an exercise of the Shelf at hand, or no longer. */
export const toggleFavourite = (key: string) =>
  changeSettings(({ favourites }) => ({
    favourites: favourites.includes(key) ? favourites.filter((each) => each !== key) : [...favourites, key],
  }));

/** The newest calibration, or null. */
export async function readCalibration(): Promise<CalibrationRecord | null> {
  return (await database().calibrations.orderBy('madeAt').last()) ?? null;
}

export async function saveCalibration(record: CalibrationRecord): Promise<void> {
  await database().calibrations.put(record);
}
