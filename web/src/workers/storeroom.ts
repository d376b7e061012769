import * as Comlink from 'comlink';
import { loadSamples } from '../storage/index.ts';
import type { Storeroom } from './storeroomWork.ts';

let databaseName: string | null = null;
let running: Storeroom | null = null;

/** Names the database of this origin; null where the page holds everything in memory and no worker can see it. */
export function openStoreroom(name: string | null): void {
  databaseName = name;
}

/** The storeroom; its worker starts when it is first needed. Null where nothing is stored. */
export function storeroom(): Storeroom | null {
  if (databaseName === null) return null;
  // Every call but `stop`, whose answer nobody waits for, answers with a promise already: through a worker they are the same.
  running ??= Comlink.wrap(
    new Worker(new URL('./storeroom.worker.ts', import.meta.url), { type: 'module', name: databaseName }),
  ) as unknown as Storeroom;
  return running;
}

/** The sound of a take, unpacked off the main thread; empty where there is none. */
export async function soundOfTake(takeId: string): Promise<Float32Array<ArrayBuffer>> {
  return (await storeroom()?.loadSamples(takeId)) ?? loadSamples(takeId);
}

/** A function that the storeroom calls while it works. */
export const told = Comlink.proxy;
