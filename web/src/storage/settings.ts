import type { DynamicScale } from '@inner-hum/core/exercise';
import { database } from './database.ts';
import { type CalibrationRecord } from './records.ts';
import { SETTINGS_CHECKS } from './settingsChecks.ts';
import { DEFAULT_SETTINGS, type SettingsRecord } from './settingsRecord.ts';

/** The settings, complete; a damaged or missing field reads as its default. */
export async function readSettings(): Promise<SettingsRecord> {
  const stored = ((await database().settings.get('settings')) ?? {}) as Record<string, unknown>;
  const settings: Record<string, unknown> = { ...DEFAULT_SETTINGS };
  // An action that has come since has no key of the player's yet.
  if (typeof stored.keys === 'object') stored.keys = { ...DEFAULT_SETTINGS.keys, ...stored.keys };
  for (const [name, isFit] of Object.entries(SETTINGS_CHECKS))
    if (isFit(stored[name])) settings[name] = stored[name];
  return settings as unknown as SettingsRecord;
}

type SettingsValues = Partial<Omit<SettingsRecord, 'id'>>;

/** What is to change; a function is given the settings as they are stored, so that two changes at once both count. */
export type SettingsChange = SettingsValues | ((settings: SettingsRecord) => SettingsValues);

export async function changeSettings(change: SettingsChange): Promise<void> {
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

/** What was found of this place now. */
export async function saveCalibration(found: Omit<CalibrationRecord, 'id' | 'madeAt'>): Promise<void> {
  await database().calibrations.put({ id: crypto.randomUUID(), madeAt: Date.now(), ...found });
}

/** A player's own scale heard at this place; what else was calibrated here stays. */
export async function saveScale(scale: DynamicScale): Promise<void> {
  const before = await readCalibration();
  await saveCalibration({
    roomFloorDb: before?.roomFloorDb ?? null,
    scale,
    roundTripSeconds: before?.roundTripSeconds ?? null,
  });
}
