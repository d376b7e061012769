import { database } from './database.ts';
import type { FolderRecord } from './records.ts';

/** The folder for copies; null where none was given. */
export async function readFolder(): Promise<FolderRecord | null> {
  return (await database().folders.get('copies')) ?? null;
}

export async function writeFolder(folder: FolderRecord): Promise<void> {
  await database().folders.put(folder);
}

/** Copies go nowhere any more; what is in the folder stays there. */
export async function forgetFolder(): Promise<void> {
  await database().folders.delete('copies');
}
