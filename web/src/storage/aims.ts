import type { HornId } from '@inner-hum/core/horn';
import { database } from './database.ts';
import type { AimRecord } from './records.ts';

export const MOST_AIM_TEXT = 120;

/** The aims on a horn, those that count first, each the newest first. */
export async function listAims(hornId: HornId): Promise<AimRecord[]> {
  const aims = await database().aims.toArray();
  return aims
    .filter((aim) => aim.hornId === hornId)
    .toSorted((a, b) => Number(a.doneAt !== null) - Number(b.doneAt !== null) || b.createdAt - a.createdAt);
}

export async function addAim(aim: Omit<AimRecord, 'id' | 'doneAt'>): Promise<void> {
  const text = aim.text.slice(0, MOST_AIM_TEXT);
  await database().aims.add({ ...aim, text, id: crypto.randomUUID(), doneAt: null });
}

/** Puts an aim away, or (null) takes it up again. */
export async function finishAim(id: string, doneAt: number | null): Promise<void> {
  await database().aims.update(id, { doneAt });
}
