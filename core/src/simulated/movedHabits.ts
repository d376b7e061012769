import { scoreOf, type Exercise } from '../exercise/index.ts';
import { pitchTarget, type HornId } from '../horn/index.ts';
import type { ItemFault } from './faults.ts';

/** Cents a millimetre on the simulated player's horn: of a note whose tube is a metre long, and at most. */
const PER_MM_AT_A_METRE = 0.9;
const MOST_PER_MM = 5;
const SOUND_M_PER_S = 347;

/**
 * The simulated player after it has moved its mouthpiece: long tubes hardly move, short ones do. By a rule of its own horn, so that what is
 * measured on it is news.
 */
export function movedHabits(exercise: Exercise, hornId: HornId, a4Hz: number, pulledMm: number): ItemFault[] {
  return scoreOf(exercise).flatMap(({ item: note }, item): ItemFault[] => {
    if (note.kind !== 'note') return [];
    const { tubeHz } = pitchTarget(note, hornId, a4Hz);
    const lengthM = SOUND_M_PER_S / (2 * tubeHz);
    const perMm = Math.min(MOST_PER_MM, PER_MM_AT_A_METRE / lengthM ** 1.5);
    return [{ item, kind: 'off', cents: -pulledMm * perMm, levelDb: 0 }];
  });
}
