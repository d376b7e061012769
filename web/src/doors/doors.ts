import { createRandom } from '@inner-hum/core/signal';
import { ADDRESS_DOOR } from './addressDoor.ts';
import type { Bytes, Door } from './door.ts';
import { FILE_DOORS } from './fileDoors.ts';
import { ROW_DOORS } from './rowDoors.ts';
import { STORE_DOORS } from './storeDoors.ts';
import { TASK_DOOR } from './taskDoor.ts';

/** Every place where something from outside comes in. */
export const DOORS: readonly Door[] = [...FILE_DOORS, ...STORE_DOORS, ...ROW_DOORS, ADDRESS_DOOR, TASK_DOOR];

/** What comes to a door in a case: the same for the same seed. */
export function caseAt(door: number, seed: number, n: number): Promise<Bytes> {
  return DOORS[door].make(
    createRandom(Math.imul(seed, 0x9e3779b1) ^ Math.imul(n + 1, 0x85ebca6b) ^ (door * 0xc2b2ae35)),
  );
}
