import { familyById, phraseExercise, tellingPhrase, type Exercise } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import type { SheetLine } from '@inner-hum/core/plan';

/** The phrase that tells what a line is; null where there is nothing written, or a family has no room on this horn. */
export function lineShape(
  { family: id, item }: Pick<SheetLine, 'family' | 'item'>,
  own: Exercise | null,
  horn: Horn,
): Exercise | null {
  if (own) return phraseExercise(own, tellingPhrase(own));
  const family = id && familyById(id);
  if (!family) return null;
  const whole = family.build(horn, item?.choices);
  return phraseExercise(whole, tellingPhrase(whole));
}
