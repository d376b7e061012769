import { noteTarget, scoreOf, type Exercise } from '../exercise/index.ts';
import { fingeringKey, isHighNote, regularFingering, type HornId } from '../horn/index.ts';
import { createRandom } from '../signal/index.ts';
import type { ItemFault } from './faults.ts';

const SQUAWK_SECONDS = 0.25;
/** A horn's worst fingering speaks this often, its best so much more. */
const LEAST_CHANCE = 0.3;
const CHANCE_SPAN = 0.65;
const MOST_CENTS = 14;

/** A number from 0 to 1 that a word always has (FNV-1a, Fowler, Noll and Vo). */
function shareOf(word: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < word.length; i++) hash = Math.imul(hash ^ word.charCodeAt(i), 0x01000193) >>> 0;
  return hash / 2 ** 32;
}

/** How a fingering of a high note goes on the simulated player's horn. */
export function highHabit(writtenMidi: number, fingering: string, hornId: HornId) {
  const word = `${hornId} ${writtenMidi} ${fingering}`;
  return {
    chance: LEAST_CHANCE + CHANCE_SPAN * shareOf(`bow ${word}`),
    cents: MOST_CENTS * (2 * shareOf(`neck ${word}`) - 1),
  };
}

/**
 * The simulated player's horn has its own altissimo, as every horn: each fingering speaks so often, and lies so far off; where it does not
 * speak there is a squawk or the partial below. The same exercise and seed give the same faults.
 */
export function highHabits(exercise: Exercise, hornId: HornId, a4Hz: number, seed: number): ItemFault[] {
  const random = createRandom(seed);
  return scoreOf(exercise).flatMap(({ item: note }, item): ItemFault[] => {
    if (note.kind !== 'note' || note.fingered !== null || !isHighNote(note.writtenMidi)) return [];
    const fingering = fingeringKey(note.keys ?? regularFingering(note.writtenMidi));
    const { chance, cents } = highHabit(note.writtenMidi, fingering, hornId);
    const off: ItemFault = { item, kind: 'off', cents, levelDb: 0 };
    if (random.uniform() < chance) return [off];
    const { partial } = noteTarget(exercise, note, hornId, a4Hz);
    return random.uniform() < 0.5 && note.attack !== 'slurred'
      ? [off, { item, kind: 'squawk', seconds: SQUAWK_SECONDS }]
      : [off, { item, kind: 'wrongPartial', partial: Math.max(1, partial - 1) }];
  });
}
