import { lengthBeats, markFraction, notesOf, onlyNote, scoreOf, type Exercise } from '../exercise/index.ts';
import { registerOf, type Register } from '../horn/index.ts';
import type { TakeAnalysis } from '../judge/index.ts';
import { mean, reachedWith, type Duration } from '../stats/index.ts';

/** How long one breath gave a good tone, where on the horn and how loud. */
export interface Hold extends Duration {
  register: Register;
  dynamic: 'soft' | 'loud';
}

export interface TempoProposal {
  tempoBpm: number;
  /** What this takes at that tempo, and at the tempo that was asked for. */
  neededSeconds: number;
  askedSeconds: number;
  /** The longest breath that is likely to be completed. */
  likelySeconds: number;
  /** All of them were completed: longer may be possible. */
  isLowerBound: boolean;
  /** How many holds this rests on. */
  holds: number;
  /** False where even the fastest tempo of the exercise is too slow for that breath. */
  fits: boolean;
}

/** What players rely on: four times in five. */
const LIKELY = 0.8;
const LEAST_HOLDS = 3;
/** With so many in the same place and dynamic, the others have no say. */
const ENOUGH_HOLDS = 5;
/** A tone that ends this close to its written end was completed. */
const COMPLETED_SHARE = 0.9;

/** Where an exercise lies on the horn and how loud it is: its lowest note, and the middle of its written marks. */
export function placeOf(exercise: Exercise): Pick<Hold, 'register' | 'dynamic'> | null {
  const notes = notesOf(scoreOf(exercise)).map(({ item }) => item);
  if (notes.length === 0) return null;
  const lowest = notes.reduce(
    (low, { writtenMidi }) => (writtenMidi < low ? writtenMidi : low),
    notes[0].writtenMidi,
  );
  const loudness = mean(notes.map(({ dynamics }) => mean(dynamics.map(({ mark }) => markFraction(mark)))));
  return { register: registerOf(lowest), dynamic: loudness < 0.5 ? 'soft' : 'loud' };
}

/** Whether the exercise of a take is one breath: only such takes tell how long one lasts. */
function isOneBreath(exercise: Exercise): boolean {
  return (
    exercise.phrases.every(({ breath }) => breath === 'one') &&
    (onlyNote(exercise) !== null || exercise.phrases.length === 1)
  );
}

/** What a kept take says about the player's breath; null where it says nothing. */
export function holdOf(exercise: Exercise, { measures }: Pick<TakeAnalysis, 'measures'>): Hold | null {
  const place = placeOf(exercise);
  const { holdSeconds, holdCause } = measures;
  if (!place || holdSeconds === null || holdCause === null || !isOneBreath(exercise)) return null;
  const written = (lengthBeats(exercise) * 60) / exercise.tempoBpm;
  // It was let go of in time, or while it was still good: the breath would have lasted longer. Stopped short, it ended.
  const isLong = exercise.start === 'ownTime' || holdSeconds >= COMPLETED_SHARE * written;
  const isCompleted = holdCause === 'completed' && isLong;
  return { ...place, seconds: holdSeconds, censored: isCompleted };
}

/**
 * The lowest tempo within the exercise's own range at which each of its one-breath phrases is likely to be completed,
 * from the holds in the same register and dynamic, failing that in the same register, failing that from all. Null where
 * the exercise has no such range or no one-breath phrase, or fewer than 3 holds are known.
 */
export function proposeTempo(exercise: Exercise, holds: readonly Hold[]): TempoProposal | null {
  const place = placeOf(exercise);
  const beats = Math.max(
    0,
    ...exercise.phrases
      .filter(({ breath }) => breath === 'one')
      .map(({ items }) => items.reduce((sum, { lengthBeats: each }) => sum + each, 0)),
  );
  if (!exercise.tempoRangeBpm || !place || beats === 0) return null;
  const near = holds.filter(({ register }) => register === place.register);
  const nearest = near.filter(({ dynamic }) => dynamic === place.dynamic);
  const pool = [nearest, near, holds].find(({ length }) => length >= ENOUGH_HOLDS) ?? holds;
  const likely = reachedWith(LIKELY, pool);
  if (pool.length < LEAST_HOLDS || !likely) return null;
  const [slowest, fastest] = exercise.tempoRangeBpm;
  const wanted = Math.ceil((60 * beats) / likely.seconds);
  const tempoBpm = Math.max(slowest, Math.min(fastest, wanted));
  return {
    tempoBpm,
    neededSeconds: (60 * beats) / tempoBpm,
    askedSeconds: (60 * beats) / exercise.tempoBpm,
    likelySeconds: likely.seconds,
    isLowerBound: likely.isLowerBound,
    holds: pool.length,
    fits: wanted <= fastest,
  };
}
