import { familyById, type Choices, type Exercise, type FamilyId } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import type { OwnExercise } from '../storage/index.ts';
import { readDrill } from './drillAddress.ts';

/** More than anyone prints at once; an address may ask for anything. */
const MOST_ASKED = 60;

/** One thing that an address asks for. */
export interface AskedFor {
  /** As the address has it. */
  of: string;
  /** Null for an own exercise. */
  drill: { family: FamilyId; choices: Choices } | null;
  exercise: Exercise;
}

/**
 * What an address asks for, in its order: `of=FAMILY`, `of=FAMILY?CHOICES` or `of=own.ID` each. What is not there, or has no
 * room in the range, is left out.
 */
export function readAskedFor(search: URLSearchParams, own: readonly OwnExercise[], horn: Horn): AskedFor[] {
  return search
    .getAll('of')
    .slice(0, MOST_ASKED)
    .flatMap((of): AskedFor[] => {
      const mine = own.find(({ id }) => of === `own.${id}`);
      if (mine) return [{ of, drill: null, exercise: mine.exercise }];
      const [id, asked = ''] = of.split('?');
      const family = familyById(id);
      if (!family?.options(horn)) return [];
      const choices = readDrill(new URLSearchParams(asked), family, horn);
      return [{ of, drill: { family: family.id, choices }, exercise: family.build(horn, choices) }];
    });
}
