import type { IndexableType } from 'dexie';
import { database } from './database.ts';
import { quarantineId } from './quarantine.ts';
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
      await db.quarantine.put({ id: quarantineId(table, key), table, why, quarantinedAt: now, row });
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

/** A row that a room could not show, though nothing is wrong with it that can be named. Returns whether there was one. */
export async function setRowAside(table: OwnTable, id: string, now: number): Promise<boolean> {
  const row: unknown = await database().table(table).get(id);
  if (row === undefined) return false;
  const why = faultOfRow(table, row) ?? 'a room could not show it';
  await quarantineRows(table, [{ key: id, row, why }], now);
  return true;
}

/** Puts a row back in its table that was set aside, where every room can read it. Returns what is wrong with it otherwise. */
export async function putRowBack(id: string): Promise<string | null> {
  const db = database();
  const held = await db.quarantine.get(id);
  const table = OWN_TABLES.find((each) => each === held?.table);
  if (!held || !table) return 'it is of no table';
  const fault = faultOfRow(table, held.row);
  if (fault !== null) return fault;
  await db.transaction('rw', [db.table(table), db.quarantine, ...dayTables()], async () => {
    await db.table(table).put(held.row);
    await db.quarantine.delete(id);
    if (table === 'takes') await rebuildDays([held.row as TakeRecord]);
  });
  return null;
}
