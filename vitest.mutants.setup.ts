import fc from 'fast-check';

// Where every change is tried by every test that reaches it, a property has half a second; one that writes and reads whole archives
// needs more for its first case.
const HALF_A_SECOND = 500;
const ARCHIVE_MS = 2000;
const limit = process.env.MUTANTS_OF === 'web/src/storage' ? ARCHIVE_MS : HALF_A_SECOND;

fc.configureGlobal({ seed: 1, interruptAfterTimeLimit: limit });
