import type { Experience } from '@inner-hum/core/exercise';
import type { SettingsRecord } from '../../storage/index.ts';

const JUDGED: Record<Experience, SettingsRecord['toleranceId']> = {
  firstYear: 'relaxed',
  someYears: 'usual',
  advanced: 'usual',
};

/** What an answer to how long one has played sets, before anything is played; each has its own place in the Case. */
export const startingAs = (experience: Experience): Partial<SettingsRecord> => ({
  experience,
  toleranceId: JUDGED[experience],
});
