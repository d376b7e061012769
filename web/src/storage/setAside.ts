import { database } from './database.ts';
import type { SetAsideRecord } from './records.ts';

/** Rows that could not be read and were put where they harm nothing, the newest first. */
export async function listSetAside(): Promise<SetAsideRecord[]> {
  const rows = await database().setAside.toArray();
  return rows.toSorted((a, b) => b.setAsideAt - a.setAsideAt);
}

/** Forgets a row that was set aside. */
export async function forgetSetAside(id: string): Promise<void> {
  await database().setAside.delete(id);
}

/** Takes back that it was forgotten. */
export async function keepSetAside(row: SetAsideRecord): Promise<void> {
  await database().setAside.put(row);
}
