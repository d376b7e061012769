import Dexie, { type DexieOptions, type Table, type Transaction } from 'dexie';
import { keysOnWrite, loadTakeKeys } from './keysOnWrite.ts';
import {
  DATABASE_VERSION,
  FORMER_TABLES,
  TABLE_NAMES,
  tableRow,
  type RowOf,
  type TableName,
} from './tables.ts';
import { loadLegacyParser } from './upgrades.ts';

/** Rows of sound are known by their take and a number, all others by a word. */
type KeyOf<Name extends TableName> = Name extends 'chunks' ? [string, number] : string;
type Database = Dexie & { [Name in TableName]: Table<RowOf<Name>, KeyOf<Name>> };

const FORMER = Object.entries(FORMER_TABLES);

/** A database with the tables, versions and upgrades of `tables.ts`. */
function createDatabase(name: string, options?: DexieOptions): Database {
  const db = new Dexie(name, options) as Database;
  for (let version = 1; version <= DATABASE_VERSION; version++) {
    const ever = [...TABLE_NAMES.map((table) => [table, tableRow(table).schema] as const), ...FORMER];
    const schemas = ever.flatMap(([table, schema]) => (version in schema ? [[table, schema[version]]] : []));
    db.version(version)
      .stores(Object.fromEntries(schemas))
      .upgrade((transaction) => upgradeTables(transaction, version));
  }
  db.takes.hook('creating', (_id, take) => void (take.keys = keysOnWrite(take)));
  db.takes.hook('updating', (changes, _id, take) => ({ keys: keysOnWrite({ ...take, ...changes }) }));
  return db;
}

/** Rows of before this version hold exercises in a language that has a parser of its own. */
const LEGACY_EXERCISES = 4;

/** Brings every row of the version before up to this one, then what is made of them. */
async function upgradeTables(transaction: Transaction, version: number): Promise<void> {
  // Loading code is no work on the database, and would end the transaction.
  if (version === LEGACY_EXERCISES) await Dexie.waitFor(loadLegacyParser());
  // Whatever is changed in a take is written with its keys.
  await Dexie.waitFor(loadTakeKeys());
  for (const name of TABLE_NAMES) {
    const changes = tableRow(name).upgrades?.[version] ?? [];
    if (changes.length > 0)
      await transaction
        .table(name)
        .toCollection()
        .modify((row: never) => changes.forEach((change) => change(row)));
  }
  for (const name of TABLE_NAMES) await tableRow(name).made?.[version]?.(transaction);
}

let opened: Database | null = null;

/** `memory`: the browser refuses to store anything; what is read and written lives as long as the page. */
export type StorageKind = 'kept' | 'memory';

/**
 * Opens the database of this origin for the page, and says what was to be had. Rejects with `VersionError` where a
 * newer version of the app has written the database: its takes must not seem to be gone. `onOutdated`: that happens while it is open.
 */
export async function openStorage(name: string, onOutdated: () => void): Promise<StorageKind> {
  nameDatabase(name);
  // Another tab has a newer version of the app: this one gives way, or neither could go on.
  database().on('versionchange', () => {
    database().close();
    onOutdated();
  });
  try {
    await database().open();
    refuseNewer();
    return 'kept';
  } catch (error) {
    if (error instanceof Dexie.VersionError) throw error;
    const { indexedDB, IDBKeyRange } = await import('fake-indexeddb');
    opened = createDatabase(name, { indexedDB, IDBKeyRange });
    return 'memory';
  }
}

/** The library opens what a newer version wrote, as if nothing were the matter; to write into it would harm it. */
function refuseNewer(): void {
  // The browser counts ten for one of the library's versions.
  if (database().backendDB().version < 10 * (DATABASE_VERSION + 1)) return;
  database().close();
  throw new Dexie.VersionError('A newer version of the app has written this database.');
}

/** Names the database of this origin; it is opened when it is first needed. */
export function nameDatabase(name: string): void {
  opened = createDatabase(name);
}

/** The open database. Throws where it was not named. */
export function database(): Database {
  if (!opened) throw new Error('The database has no name yet.');
  return opened;
}
