import { takeKeys } from './takeKeys.ts';
import { database } from './database.ts';
import type { CollectedTake } from './collectForExport.ts';
import { eraseTake } from './journal.ts';
import { mergeRow } from './tables.ts';
import { dayTables, rebuildDays } from './rebuildDays.ts';
import { keyOfRow, OWN_TABLES, type OwnTable, type SmallTable } from './tables.ts';
import type { TakeRecord } from './records.ts';

/** `merge`: what is here stays and what is missing comes; `replace`: where both have a row, the one that comes counts. */
export type RestoreMode = 'merge' | 'replace';

export interface RestoreCount {
  added: number;
  changed: number;
  /** As it was here already. */
  same: number;
}

const sameRow = (a: object, b: object) => JSON.stringify(a) === JSON.stringify(b);

/** Adds rows to a table of the player's own, in one transaction. */
export async function restoreRows(
  table: SmallTable,
  rows: readonly object[],
  mode: RestoreMode,
): Promise<RestoreCount> {
  const db = database();
  const count: RestoreCount = { added: 0, changed: 0, same: 0 };
  await db.transaction('rw', db.table(table), async () => {
    for (const row of rows) {
      const ours = (await db.table(table).get(keyOfRow(table, row))) as object | undefined;
      // A place nobody has visited yet has settings only because every place has.
      const isFresh = table === 'settings' && ours !== undefined && !(ours as { visited?: boolean }).visited;
      const kept = !ours || isFresh || mode === 'replace' ? row : mergeRow(table, ours, row);
      if (ours && sameRow(ours, kept)) {
        count.same++;
        continue;
      }
      await db.table(table).put(kept);
      count[ours ? 'changed' : 'added']++;
    }
  });
  return count;
}

/** Adds the takes of one day, and makes the day anew, in one transaction: all of them or none. */
export async function restoreDay(takes: readonly CollectedTake[], mode: RestoreMode): Promise<RestoreCount> {
  const db = database();
  const count: RestoreCount = { added: 0, changed: 0, same: 0 };
  await db.transaction('rw', [...dayTables(), db.frames, db.sounds, db.chunks], async () => {
    for (const { record: row, columns, sound } of takes) {
      // As the database would write it, so that the same again is seen to be the same.
      const record = { ...row, keys: takeKeys(row) };
      const { id } = record;
      const ours = await db.takes.get(id);
      const kept = (!ours || mode === 'replace' ? record : mergeRow('takes', ours, record)) as TakeRecord;
      if (columns && !(await db.frames.get(id))) await db.frames.put({ takeId: id, columns });
      const hasSound =
        (await db.sounds.get(id)) !== undefined || (await db.chunks.where('takeId').equals(id).count()) > 0;
      const bringsSound = sound !== null && !hasSound;
      if (bringsSound) await db.sounds.put(sound);
      if (!ours || !sameRow(ours, kept)) await db.takes.put(kept);
      if (!ours) count.added++;
      else if (bringsSound || !sameRow(ours, kept)) count.changed++;
      else count.same++;
    }
    if (count.added + count.changed === 0) return;
    await rebuildDays(takes.map(({ record }) => record));
  });
  return count;
}

/** Takes away every row whose key is not among those that stay. Returns how many went. Takes that are being recorded stay. */
export async function removeOthers(stay: Record<OwnTable, ReadonlySet<string>>): Promise<number> {
  const db = database();
  let removed = 0;
  for (const table of OWN_TABLES) {
    const gone = ((await db.table(table).toCollection().primaryKeys()) as string[]).filter(
      (key) => !stay[table].has(key),
    );
    for (const key of gone) {
      const take = table === 'takes' ? await db.takes.get(key) : null;
      if (take?.state === 'recording') continue;
      if (take) {
        await eraseTake(key);
        await db.transaction('rw', dayTables(), () => rebuildDays([take]));
      } else await db.table(table).delete(key);
      removed++;
    }
  }
  return removed;
}
