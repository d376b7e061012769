import { familyById, phraseExercise, tellingPhrase, type Exercise } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import type { SheetLine } from '@inner-hum/core/plan';

/** What was built for lines of a horn: building a family takes longer than drawing its line. */
const built = new WeakMap<Horn, Map<string, Exercise>>();

/** The phrase that tells what a line is; null where there is nothing written, or a family has no room on this horn. */
export function lineShape(
  { family: id, item }: Pick<SheetLine, 'family' | 'item'>,
  own: Exercise | null,
  horn: Horn,
): Exercise | null {
  if (own) return phraseExercise(own, tellingPhrase(own));
  const family = id && familyById(id);
  if (!family) return null;
  const made = built.get(horn) ?? new Map<string, Exercise>();
  built.set(horn, made);
  const key = JSON.stringify([id, item?.choices]);
  let shape = made.get(key);
  if (!shape) {
    const whole = family.build(horn, item?.choices);
    shape = phraseExercise(whole, tellingPhrase(whole));
    made.set(key, shape);
  }
  return shape;
}
