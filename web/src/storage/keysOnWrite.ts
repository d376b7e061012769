import type { KeyedTake } from './takeKeys.ts';
import type { TakeKeys } from './records.ts';

// What takes are found by is told by all the families and answers there are, which no first room needs: the page learns it a moment later.

let tell: ((take: KeyedTake) => TakeKeys) | null = null;

export function tellKeysBy(takeKeys: (take: KeyedTake) => TakeKeys): void {
  tell = takeKeys;
}

/** To be waited for before a take is written. */
export async function loadTakeKeys(): Promise<void> {
  tell ??= (await import('./takeKeys.ts')).takeKeys;
}

/** The keys of a take that is being written. Throws where `loadTakeKeys` was not waited for. */
export function keysOnWrite(take: KeyedTake): TakeKeys {
  if (!tell) throw new Error('Takes cannot be written yet: wait for loadTakeKeys first.');
  return tell(take);
}
