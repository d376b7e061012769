import { openDatabase } from './openDatabase.ts';

/** For tests: a database that no other test has opened. */
export const emptyDatabaseInTests = () => openDatabase(`test ${crypto.randomUUID()}`);
