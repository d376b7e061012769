import { readShift, type Exercise } from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';
import type { EngravedPhrase } from './engraved.ts';

/** The phrases of an exercise as they are engraved: in the order of playing each once, on neck and mouthpiece as they sound. */
export function phrasesOf(exercise: Exercise, hornId: HornId, most = Infinity): EngravedPhrase[] {
  const { phrases, beatsPerBar } = exercise;
  const shift = readShift(exercise, hornId);
  return phrases.slice(0, most).map((phrase) => ({ phrase, beatsPerBar, shift }));
}
