// Work off the main thread: the session worker and its typed protocol. No interface, no audio devices.
export { startSessionWorker, type SessionClient } from './sessionClient.ts';
export type * from './protocol.ts';
export { takeDocument } from './takeDocument.ts';
