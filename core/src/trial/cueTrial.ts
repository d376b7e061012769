import { MOST_NAME, parseExercise, type Exercise } from '../exercise/index.ts';
import type { WrittenMidi } from '../horn/index.ts';
import { createRandom } from '../signal/index.ts';
import { TONES, type Side, type TrialAttack, type TrialTone } from './trialTones.ts';

/** Two ways of thinking of one thing, as the schools have them; `own` is a question of the player's. */
export const QUESTIONS = [
  'tongue',
  'air',
  'throat',
  'lip',
  'breathing',
  'lowStart',
  'softNotes',
  'own',
] as const;
export type Question = (typeof QUESTIONS)[number];

/** Fewer pairs tell nothing; more than these tire lip and ear. */
export const LEAST_PAIRS = 6;
export const MOST_PAIRS = 15;

/** Two cues to be tried against each other; everything is fixed before the first note. */
export interface CueTrial {
  tone: TrialTone;
  writtenMidi: WrittenMidi;
  /** Words of the two cues. */
  cues: Record<Side, string>;
  /** How the note begins with either: the beginning may be the very question. */
  attacks: Record<Side, TrialAttack>;
  pairs: number;
}

/** In every pair both cues, which of them first by chance; the same seed gives the same order. */
export function trialOrder(pairs: number, seed: number): Side[] {
  const random = createRandom(seed);
  return Array.from({ length: pairs }, () => (random.uniform() < 0.5 ? 'ab' : 'ba')).flatMap(
    (pair) => [...pair] as Side[],
  );
}

/** The trial as an exercise: one tone a phrase, its cue as the word to think of. No phrase is played twice. */
export function trialExercise(
  { tone, writtenMidi, cues, attacks }: CueTrial,
  order: readonly Side[],
  name: string,
): Exercise {
  const { beats, marks } = TONES[tone];
  return parseExercise({
    version: 3,
    name: name.slice(0, MOST_NAME),
    tempoBpm: 60,
    beatsPerBar: 4,
    start: 'playToStart',
    rest: { kind: 'beats', beats: 6 },
    onFault: 'finish',
    phrases: order.map((side) => ({
      breath: 'one',
      items: [
        {
          kind: 'note',
          writtenMidi,
          lengthBeats: beats,
          attack: attacks[side],
          dynamics: marks.map(([beat, mark]) => ({ beat, mark })),
          words: [{ beat: 0, text: cues[side] }],
        },
      ],
    })),
  });
}

/** Which cue each phrase of such an exercise had. */
export function cueOrder({ phrases }: Exercise, cues: CueTrial['cues']): Side[] {
  return phrases.map(({ items: [item] }): Side => {
    const word = item.kind === 'note' ? item.words?.at(0)?.text : undefined;
    return word === cues.b ? 'b' : 'a';
  });
}
