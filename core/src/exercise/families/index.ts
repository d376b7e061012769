// One builder file a family of drills. A builder writes notes, beats and marks; it judges and draws nothing.
import { airThenNote } from './airThenNote.ts';
import { alternatingSwells } from './alternatingSwells.ts';
import { breakDrill } from './breakDrill.ts';
import type { Family } from './family.ts';
import { hearHumPlay } from './hearHumPlay.ts';
import { longHold } from './longHold.ts';
import { octaveRestart } from './octaveRestart.ts';
import { pairedSwells } from './pairedSwells.ts';
import { quietDescent } from './quietDescent.ts';

export type { Family, FamilyId, FamilyRequest } from './family.ts';

/** In the order of a sitting: air and ear first, then long notes, then the low end. The single swell has a builder of its own. */
export const FAMILIES: readonly Family[] = [
  airThenNote,
  hearHumPlay,
  longHold,
  pairedSwells,
  alternatingSwells,
  quietDescent,
  octaveRestart,
  breakDrill,
];

/** A family by its name, or null. */
export function familyById(id: string): Family | null {
  return FAMILIES.find((family) => family.id === id) ?? null;
}
