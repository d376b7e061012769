import { familyById } from '@inner-hum/core/exercise';
import { TASK_LIMITS, type TaskItem } from '@inner-hum/core/formats';
import type { Horn } from '@inner-hum/core/horn';
import { readDrill } from '../../addresses/index.ts';
import type { OwnExercise } from '../../storage/index.ts';

/** What the address asks to be given: drills with what was chosen of them (`of=longHold?note=60`), own exercises (`of=own.ID`). */
export function askedItems(
  search: URLSearchParams,
  own: readonly OwnExercise[],
  horn: Horn,
): { of: string; item: TaskItem }[] {
  return search
    .getAll('of')
    .flatMap((of): { of: string; item: TaskItem }[] => {
      const found = own.find(({ id }) => of === `own.${id}`);
      if (found) return [{ of, item: { exercise: found.exercise } }];
      const [name, choices] = of.split('?');
      const family = familyById(name);
      if (!family?.options(horn)) return [];
      return [
        { of, item: { family: family.id, choices: readDrill(new URLSearchParams(choices), family, horn) } },
      ];
    })
    .slice(0, TASK_LIMITS.items);
}
