import type { Page } from '@playwright/test';

// What lies in the page's database, read and changed behind the app's back.

type Row = Record<string, unknown>;

/** The sounds of a table, and how much there is of each; of rows that are none, how many. */
export const rowsOf = (page: Page, table: string) =>
  page.evaluate(async (name) => {
    const open = indexedDB.open('inner-hum');
    const db = await new Promise<IDBDatabase>((resolve) => (open.onsuccess = () => resolve(open.result)));
    const all = db.transaction(name).objectStore(name).getAll();
    const rows = await new Promise<Row[]>((resolve) => (all.onsuccess = () => resolve(all.result)));
    db.close();
    return rows.map(({ sampleCount, sampleRateHz, flac }) => ({
      sampleCount: Number(sampleCount),
      sampleRateHz: Number(sampleRateHz),
      bytes: (flac as Uint8Array | null | undefined)?.byteLength ?? 0,
    }));
  }, table);

/** Puts every row of a table with some fields changed, as a disk that fails or another version would. */
export const putRows = (page: Page, table: string, change: Row) =>
  page.evaluate(
    async ([name, fields]) => {
      const open = indexedDB.open('inner-hum');
      const db = await new Promise<IDBDatabase>((resolve) => (open.onsuccess = () => resolve(open.result)));
      const store = db.transaction(name, 'readwrite').objectStore(name);
      const all = store.getAll();
      await new Promise<void>((resolve) => {
        all.onsuccess = () => {
          for (const row of all.result as object[]) store.put({ ...row, ...fields });
          store.transaction.oncomplete = () => resolve();
        };
      });
      db.close();
    },
    [table, change] as const,
  );
