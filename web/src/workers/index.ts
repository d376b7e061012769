// Work off the main thread: the session worker and its typed protocol; the storage worker, for long work on what is stored.
// No interface, no audio devices.
export { startSessionWorker, type SessionClient } from './sessionClient.ts';
export type * from './protocol.ts';
export { isTakeRunning } from './takeLock.ts';
export { takeDocument } from './takeDocument.ts';
export { openStorageWorker, soundOfTake, storageWorker, restoreInto, proxied } from './storageWorker.ts';
export type { OpenedScore } from './openScore.ts';
export { readScoreFile } from './readScoreFile.ts';
export type { RecordingAnswer, RecordingRequest } from './keepRecording.ts';
export type { ArchiveManifest, ArchiveRefusal, RestoreReport } from '../archive/index.ts';
export type { StorageWorker, Stopped } from './storageWork.ts';
