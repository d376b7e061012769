import {
  familyById,
  phraseExercise,
  playedPhrases,
  type Choices,
  type Exercise,
  type FamilyId,
} from '@inner-hum/core/exercise';
import { hornById, type HornId } from '@inner-hum/core/horn';

/** A drill as it is written on a horn. Throws where there is no such family. */
export function drillOf(id: FamilyId, choices: Choices, hornId: HornId = 'alto'): Exercise {
  const family = familyById(id);
  if (!family) throw new Error(`There is no family ${id}.`);
  return family.build(hornById(hornId), choices);
}

/** One phrase of it; `index` goes round. */
export function phraseOf(id: FamilyId, choices: Choices, hornId: HornId = 'alto', index = 0): Exercise {
  const whole = drillOf(id, choices, hornId);
  return phraseExercise(whole, index % playedPhrases(whole).length);
}
