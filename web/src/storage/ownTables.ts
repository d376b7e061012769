import { database } from './database.ts';

/** Tables whose rows are the player's; what is made of them is left out. */
export const OWN_TABLES = [
  'settings',
  'calibrations',
  'takes',
  'rounds',
  'exercises',
  'mouthpieces',
  'highFingerings',
  'sheets',
  'reeds',
  'hornChecks',
  'dayNotes',
  'performances',
  'trials',
  'aims',
] as const;
export type OwnTable = (typeof OWN_TABLES)[number];

/** Every such table but the takes, whose rows come with sound and frames. */
export type SmallTable = Exclude<OwnTable, 'takes'>;
export const SMALL_TABLES = OWN_TABLES.filter((table): table is SmallTable => table !== 'takes');

/** What a row of a table is known by. */
export const keyOfRow = (table: OwnTable, row: object): string =>
  (row as Record<string, string>)[String(database().table(table).schema.primKey.keyPath)];
