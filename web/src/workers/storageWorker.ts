import * as Comlink from 'comlink';
import { loadSamples } from '../storage/index.ts';
import type { StorageWorker } from './storageWork.ts';

let databaseName: string | null = null;
let running: StorageWorker | null = null;

/** Names the database of this origin; null where the page holds everything in memory and no worker can see it. */
export function openStorageWorker(name: string | null): void {
  databaseName = name;
}

const startWorker = (name: string) =>
  new Worker(new URL('./storage.worker.ts', import.meta.url), { type: 'module', name });
/** Every call but `stop`, whose answer nobody waits for, answers with a promise already: through a worker they are the same. */
const remoteOf = (worker: Worker) => Comlink.wrap(worker) as unknown as StorageWorker;

/** The storage worker; its worker starts when it is first needed. Null where nothing is stored. */
export function storageWorker(): StorageWorker | null {
  if (databaseName === null) return null;
  running ??= remoteOf(startWorker(databaseName));
  return running;
}

/** Puts an archive into another database of this origin, in a worker that ends with it. */
export async function restoreInto(
  name: string,
  file: File,
  onProgress: (done: number, of: number) => void,
): ReturnType<StorageWorker['restore']> {
  const worker = startWorker(name);
  try {
    return await remoteOf(worker).restore(file, 'merge', Comlink.proxy(onProgress));
  } finally {
    worker.terminate();
  }
}

/** The sound of a take, unpacked off the main thread; empty where there is none. */
export async function soundOfTake(takeId: string): Promise<Float32Array<ArrayBuffer>> {
  return (await storageWorker()?.loadSamples(takeId)) ?? loadSamples(takeId);
}

/** A function that the storage worker calls while it works. */
export const proxied = Comlink.proxy;
