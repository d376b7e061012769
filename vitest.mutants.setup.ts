import fc from 'fast-check';

// Where every change is tried by every test that reaches it, a property has half a second; one that writes and reads whole archives
// must not be cut off inside a case, and has fewer cases instead.
const isStorage = process.env.MUTANTS_OF === 'web/src/storage';
if (isStorage) process.env.ARCHIVE_CASES = '2';
fc.configureGlobal({ seed: 1, ...(!isStorage && { interruptAfterTimeLimit: 500 }) });
