import { database } from './database.ts';
import type { QuarantineRecord } from './records.ts';
import type { OwnTable } from './tables.ts';

/** Rows that could not be read and were put where they harm nothing, the newest first. */
export async function listQuarantine(): Promise<QuarantineRecord[]> {
  const rows = await database().quarantine.toArray();
  return rows.toSorted((a, b) => b.quarantinedAt - a.quarantinedAt);
}

/** Under which id a row is kept that was set aside, by its table and its key there. */
export const quarantineId = (table: string, key: unknown) => `${table}/${JSON.stringify(key)}`;

/** Whether the row that had this key was set aside. */
export async function isQuarantined(table: OwnTable, key: string): Promise<boolean> {
  return (await database().quarantine.get(quarantineId(table, key))) !== undefined;
}

/** Forgets a row that was set aside. */
export async function forgetQuarantined(id: string): Promise<void> {
  await database().quarantine.delete(id);
}

/** Takes back that it was forgotten. */
export async function keepQuarantined(row: QuarantineRecord): Promise<void> {
  await database().quarantine.put(row);
}
