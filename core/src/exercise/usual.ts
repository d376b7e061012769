import type { Exercise, Phrase } from './exercise.ts';

/** What an exercise is where nothing else is written: for the door from outside and for what the families write. */
export const USUAL_EXERCISE = {
  tempoRangeBpm: null,
  order: 'asWritten',
  rest: { kind: 'asPlayed' },
  onFault: 'finish',
  overtones: 'tempered',
} as const satisfies Partial<Exercise>;

/** The same of a phrase. */
export const USUAL_PHRASE = { breath: 'free', repeats: 1 } as const satisfies Partial<Phrase>;
