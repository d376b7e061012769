import {
  extentOf,
  FAMILIES,
  readShift,
  type Exercise,
  type Extent,
  type FamilyId,
  type Purpose,
} from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import { drillAddress } from '../addresses/index.ts';
import { shelfKey, type OwnExercise } from '../storage/index.ts';

/** One exercise on the Shelf: a family as it is usual on this horn, or one of the player's own. */
export interface ShelfEntry {
  key: string;
  /** Of an own exercise. */
  ownId: string | null;
  /** Null for an own exercise. */
  familyId: FamilyId | null;
  purposes: readonly Purpose[];
  /** Null where the player's range has no room for the family. */
  written: { exercise: Exercise; extent: Extent } | null;
  /** Half steps from what is stored to what is read. */
  shift: number;
  openAddress: string;
  playAddress: string;
}

/** Everything there is to practise with, own exercises first. */
export function shelfEntries(own: readonly OwnExercise[], horn: Horn): ShelfEntry[] {
  return [
    ...own.map(({ id, exercise }): ShelfEntry => ({
      key: shelfKey(exercise),
      ownId: id,
      familyId: null,
      purposes: [],
      written: { exercise, extent: extentOf(exercise) },
      shift: readShift(exercise, horn.id),
      openAddress: `/shelf/own/${id}`,
      playAddress: `/stand/own/${id}`,
    })),
    ...familyEntries(horn),
  ];
}

function familyEntries(horn: Horn): ShelfEntry[] {
  return FAMILIES.map((family) => {
    const exercise = family.options(horn) ? family.build(horn) : null;
    return {
      key: family.id,
      ownId: null,
      familyId: family.id,
      purposes: family.purposes,
      written: exercise && { exercise, extent: extentOf(exercise) },
      shift: exercise ? readShift(exercise, horn.id) : 0,
      openAddress: `/shelf/family/${family.id}`,
      playAddress: drillAddress(family, horn, {}),
    };
  });
}
