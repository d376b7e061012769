import { isHighNote } from '../horn/index.ts';
import { isAlone } from './body.ts';
import { markFraction } from './dynamics.ts';
import type { Exercise } from './exercise.ts';
import { allNotes, extentOf } from './extent.ts';
import { phraseBeats } from './score.ts';
import { secondsPerBeat } from './target.ts';

/** In the order in which they are told. */
export const CAUTIONS = ['hearing', 'throat', 'embouchure', 'dizziness', 'hands'] as const;
export type Caution = (typeof CAUTIONS)[number];

/** What is told anew every day on which it applies; the others once. */
const DAILY: readonly Caution[] = ['hearing', 'throat'];

const LOUD = markFraction('ff');
const SOFT = markFraction('p');
const FIRST_PALM = 86;
/** Full breaths as long as this, one after the other, can make one dizzy. */
const LONG_BREATH_SECONDS = 12;
const MANY = 3;
/** Playing for longer tires the lip; holding the horn for longer, thumb and neck. */
const TIRING_SECONDS = 8 * 60;
const HIGH_SECONDS = 60;
const HEAVY_SECONDS = 15 * 60;

/** Which cautions an exercise calls for: by what is in it, so that it holds for own exercises as well. */
export function cautionsOf(exercise: Exercise): Caution[] {
  const notes = allNotes(exercise);
  const { loudest, playedSeconds, seconds } = extentOf(exercise);
  const beat = secondsPerBeat(exercise);
  const alone = isAlone(exercise);
  const high = notes.filter(({ writtenMidi }) => !alone && writtenMidi >= FIRST_PALM);
  const highSeconds = high.reduce((sum, { lengthBeats }) => sum + lengthBeats * beat, 0);
  const longBreaths = exercise.phrases.filter(
    (phrase) => phrase.breath === 'one' && phraseBeats(phrase) * beat >= LONG_BREATH_SECONDS,
  );
  const breaths = longBreaths.reduce((sum, { repeats }) => sum + repeats, 0);
  const softAndLong = notes.some(
    ({ dynamics, lengthBeats }) =>
      lengthBeats * beat >= LONG_BREATH_SECONDS && dynamics.every(({ mark }) => markFraction(mark) <= SOFT),
  );
  const hasAir = exercise.phrases.some(({ items }) => items.some(({ kind }) => kind === 'air'));
  const applies: Record<Caution, boolean> = {
    hearing: (loudest ?? 0) >= LOUD || high.length > 0,
    throat:
      alone ||
      notes.some(
        ({ bend, words, fingered, writtenMidi }) =>
          (bend ?? words ?? fingered !== null) || isHighNote(writtenMidi),
      ),
    embouchure: playedSeconds >= TIRING_SECONDS || highSeconds >= HIGH_SECONDS || alone,
    dizziness: hasAir || softAndLong || breaths >= MANY,
    hands: seconds >= HEAVY_SECONDS,
  };
  return CAUTIONS.filter((name) => applies[name]);
}

/** What tires in an exercise: playing high (over C#6), playing loud (f and more). */
export function cautionsFor(exercise: Exercise): ('high' | 'loud')[] {
  const { highest, loudest } = extentOf(exercise);
  const isHigh = !isAlone(exercise) && (highest ?? 0) >= FIRST_PALM;
  return [
    ...(isHigh ? (['high'] as const) : []),
    ...((loudest ?? 0) >= markFraction('f') ? (['loud'] as const) : []),
  ];
}

const dayOf = (ms: number) => new Date(ms).toDateString();

/** The cautions an exercise calls for that are still to be told: not read yet, or, of the daily ones, not today. Times in ms. */
export function dueCautions(
  exercise: Exercise,
  readAt: Readonly<Partial<Record<Caution, number>>>,
  now: number,
): Caution[] {
  return cautionsOf(exercise).filter((name) => {
    const read = readAt[name];
    return read === undefined || (DAILY.includes(name) && dayOf(read) !== dayOf(now));
  });
}
