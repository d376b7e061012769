import { nameDatabase } from './database.ts';
import { tellKeysBy } from './keysOnWrite.ts';
import { takeKeys } from './takeKeys.ts';

/** Names the database of this origin, for a worker: all that writing takes needs is there from the start. It is opened when it is first needed. */
export function openDatabase(name: string): void {
  tellKeysBy(takeKeys);
  nameDatabase(name);
}
