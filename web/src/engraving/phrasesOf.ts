import type { Exercise } from '@inner-hum/core/exercise';
import { hornById, type HornId } from '@inner-hum/core/horn';
import type { EngravedPhrase } from './engraved.ts';

/** The phrases of an exercise as they are engraved: in the order of playing each once, on neck and mouthpiece as they sound. */
export function phrasesOf(
  { phrases, beatsPerBar, body }: Exercise,
  hornId: HornId,
  most = Infinity,
): EngravedPhrase[] {
  const shift = body === undefined || body === 'horn' ? 0 : hornById(hornId).transposition;
  return phrases.slice(0, most).map((phrase) => ({ phrase, beatsPerBar, shift }));
}
