import type { Transaction } from 'dexie';

/** Brings one row up from the version before, in place. */
export type RowUpgrade = (row: never) => void;

/** All that is particular to a table, but what a row must be (`rowChecks.ts`, which the first page does not load). */
export interface TableRow<Row, IsOwn extends boolean> {
  /** Its key and indexes by the version that gave it them. A change adds a version; nothing is ever edited in place. */
  schema: Readonly<Record<number, string>>;
  /** What a version does to each row of the one before. */
  upgrades?: Readonly<Record<number, readonly RowUpgrade[]>>;
  /** What a version does to the table as a whole, after its rows. */
  made?: Readonly<Record<number, (transaction: Transaction) => Promise<unknown>>>;
  /** Whether its rows are the player's, and go into archives and come back; all others are made of them, or are of this browser alone. */
  isOwn: IsOwn;
  /** Rows belong to takes, are erased with them and archived with them; the field that names the take. */
  ofTake?: string & keyof Row;
  /** How two rows of one key become one; without it the one that is here stays. Merging the same again changes nothing. */
  merge?: (ours: Row, theirs: Row) => Row;
}

/** A table of the player's own. */
export const own = <Row>(row: Omit<TableRow<Row, true>, 'isOwn'>): TableRow<Row, true> => ({
  ...row,
  isOwn: true,
});

/** A table that is made of others, goes along with takes in a form of its own, or is of this browser alone. */
export const aside = <Row>(row: Omit<TableRow<Row, false>, 'isOwn'>): TableRow<Row, false> => ({
  ...row,
  isOwn: false,
});
