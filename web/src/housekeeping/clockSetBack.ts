import { newestTakeAt } from '../storage/index.ts';

/** Clocks that are put right now and then differ by less. */
const EARLY_MS = 10 * 60_000;

/** Whether the newest take lies after now: then the clock of this device was ahead when it was played, or is behind now. */
export async function isClockSetBack(now: number): Promise<boolean> {
  const newest = await newestTakeAt();
  return newest !== null && newest > now + EARLY_MS;
}
