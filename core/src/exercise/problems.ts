import type { Horn } from '../horn/index.ts';
import { isAlone } from './body.ts';
import { SILENT, type Exercise, type Phrase } from './exercise.ts';
import { phraseBeats } from './score.ts';
import { secondsPerBeat } from './target.ts';

/** Nobody plays longer on one breath. */
const LONGEST_BREATH_SECONDS = 45;
/** A phrase is one take: what goes wrong in it costs all of it. */
const LONG_PHRASE_SECONDS = 240;

/**
 * What stands in the way of playing an exercise, or deserves a second look, and where. `isFatal`: it cannot be played so.
 * `item` is null where the whole phrase is meant.
 */
export interface Problem {
  kind: 'nothingToPlay' | 'longPhrase' | 'belowRange' | 'aboveRange' | 'slurFromNothing' | 'longBreath';
  isFatal: boolean;
  phrase: number;
  item: number | null;
}

/** Everything that is wrong with an exercise on a horn whose range is the player's own, phrase by phrase. */
export function problemsOf(exercise: Exercise, horn: Pick<Horn, 'lowest' | 'highest'>): Problem[] {
  const beat = secondsPerBeat(exercise);
  const alone = isAlone(exercise);
  return exercise.phrases.flatMap((phrase, index) => [
    ...wholePhrase(phrase, index, beat),
    ...phrase.items.flatMap((item, i): Problem[] => {
      const at = { phrase: index, item: i, isFatal: false };
      const found: Problem[] = [];
      if (!alone && (item.kind === 'note' || item.kind === 'air')) {
        if (item.writtenMidi < horn.lowest) found.push({ kind: 'belowRange', ...at });
        if (item.writtenMidi > horn.highest) found.push({ kind: 'aboveRange', ...at });
      }
      const before = i > 0 ? phrase.items[i - 1].kind : null;
      if (item.kind === 'note' && item.attack === 'slurred' && before !== 'note')
        found.push({ kind: 'slurFromNothing', ...at });
      return found;
    }),
  ]);
}

function wholePhrase(phrase: Phrase, index: number, beat: number): Problem[] {
  const at = { phrase: index, item: null };
  const found: Problem[] = [];
  if (phrase.items.every(({ kind }) => SILENT.some((each) => each === kind)))
    found.push({ kind: 'nothingToPlay', isFatal: true, ...at });
  const seconds = phraseBeats(phrase) * beat;
  if (phrase.breath === 'one' && seconds > LONGEST_BREATH_SECONDS)
    found.push({ kind: 'longBreath', isFatal: false, ...at });
  else if (seconds > LONG_PHRASE_SECONDS) found.push({ kind: 'longPhrase', isFatal: false, ...at });
  return found;
}
