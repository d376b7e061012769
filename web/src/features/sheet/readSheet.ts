import { familyById, type Exercise, type FamilyId } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import { readDrill } from '../../addresses/index.ts';
import type { OwnExercise } from '../../storage/index.ts';

export interface SheetPiece {
  key: string;
  exercise: Exercise;
  /** Null for an own exercise. */
  familyId: FamilyId | null;
}

/** More than anyone prints at once; an address may ask for anything. */
const MOST_PIECES = 60;

/**
 * What the address asks for, in its order: `of=FAMILY`, `of=FAMILY?CHOICES` or `of=own.ID` each. What is not there, or has no
 * room in the range, is left out.
 */
export function readSheet(search: URLSearchParams, own: readonly OwnExercise[], horn: Horn): SheetPiece[] {
  return search
    .getAll('of')
    .slice(0, MOST_PIECES)
    .flatMap((key): SheetPiece[] => {
      const mine = own.find(({ id }) => key === `own.${id}`);
      if (mine) return [{ key, exercise: mine.exercise, familyId: null }];
      const [id, choices = ''] = key.split('?');
      const family = familyById(id);
      if (!family?.options(horn)) return [];
      const exercise = family.build(horn, readDrill(new URLSearchParams(choices), family, horn));
      return [{ key, exercise, familyId: family.id }];
    });
}
