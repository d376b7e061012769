import { database } from './database.ts';
import type { QuarantineRecord } from './records.ts';

/** Rows that could not be read and were put where they harm nothing, the newest first. */
export async function listQuarantine(): Promise<QuarantineRecord[]> {
  const rows = await database().quarantine.toArray();
  return rows.toSorted((a, b) => b.quarantinedAt - a.quarantinedAt);
}

/** Forgets a row that was set aside. */
export async function forgetQuarantined(id: string): Promise<void> {
  await database().quarantine.delete(id);
}

/** Takes back that it was forgotten. */
export async function keepQuarantined(row: QuarantineRecord): Promise<void> {
  await database().quarantine.put(row);
}
