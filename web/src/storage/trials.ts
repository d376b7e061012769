import { database } from './database.ts';
import type { TrialRecord } from './records.ts';

/** Where the sittings of a trial are played. */
export const trialAddress = (id: string) => `/stand/trial/${id}`;

/** Trials that were not deleted, the newest first. */
export async function listTrials(): Promise<TrialRecord[]> {
  const trials = await database().trials.toArray();
  return trials.filter(({ deletedAt }) => deletedAt === null).toSorted((a, b) => b.createdAt - a.createdAt);
}

/** One trial, or null where there is none. */
export async function readTrial(id: string): Promise<TrialRecord | null> {
  return (await database().trials.get(id)) ?? null;
}

/** Fixes a trial; returns its place. */
export async function addTrial(trial: Omit<TrialRecord, 'id' | 'deletedAt'>): Promise<string> {
  const id = crypto.randomUUID();
  await database().trials.add({ ...trial, id, deletedAt: null });
  return id;
}

/** Takes a trial off the list, or (null) brings it back; its takes stay. */
export async function deleteTrial(id: string, deletedAt: number | null): Promise<void> {
  await database().trials.update(id, { deletedAt });
}
