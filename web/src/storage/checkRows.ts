import type { IndexableType } from 'dexie';
import { database } from './database.ts';
import { OWN_TABLES, type OwnTable } from './tables.ts';
import { dayTables, rebuildDays } from './rebuildDays.ts';
import type { TakeRecord } from './records.ts';
import { faultOfRow } from './rowChecks.ts';

// For the storage worker alone: what a row must be is more than the first page should load.

interface BrokenRow {
  key: IndexableType;
  row: unknown;
  why: string;
}

/** Puts rows that cannot be read aside, whole; their days are made anew without them, all or nothing. */
async function quarantineRows(table: OwnTable, broken: readonly BrokenRow[], now: number): Promise<void> {
  const db = database();
  await db.transaction('rw', [db.table(table), db.quarantine, ...dayTables()], async () => {
    for (const { key, row, why } of broken) {
      await db.quarantine.put({ id: `${table}/${JSON.stringify(key)}`, table, why, quarantinedAt: now, row });
      await db.table(table).delete(key);
    }
    // Only when none of them is left: a day is made of all its takes.
    if (table !== 'takes') return;
    const takes = broken.map(({ row }) => row as TakeRecord | null);
    await rebuildDays(takes.filter((take): take is TakeRecord => typeof take?.day === 'string'));
  });
}

/** Looks at every row of the player's own and puts aside what no room could read. Returns how many were put aside. */
export async function checkRows(now: number): Promise<number> {
  let found = 0;
  for (const table of OWN_TABLES) {
    const broken: BrokenRow[] = [];
    await database()
      .table(table)
      .each((row: unknown, { primaryKey }) => {
        const why = faultOfRow(table, row);
        if (why !== null) broken.push({ key: primaryKey as IndexableType, row, why });
      });
    if (broken.length > 0) await quarantineRows(table, broken, now);
    found += broken.length;
  }
  return found;
}
