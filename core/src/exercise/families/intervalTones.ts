import { writtenMidi } from '../../horn/index.ts';
import type { ExerciseItem } from '../exercise.ts';
import { defineFamily, note, restOf, slurred } from './family.ts';
import { beatsOption, halfStepsOption, noteOption, paceOption, tempoOption } from './options.ts';

/** From a low note, a wider interval each time: imagined first, then played and held, and back. Free playing between. */
export const intervalTones = defineFamily({
  id: 'intervalTones',
  skill: 'ear',
  purposes: ['ear', 'hold'],
  headline: 'interval',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest - 1, lowest + 4),
    widest: halfStepsOption(13, 1, 36),
    beats: beatsOption(4, 2, 12),
    imagineBeats: beatsOption(4, 2, 8),
    freeBeats: beatsOption(8, 0, 32),
    tempoBpm: tempoOption(60),
    start: paceOption('ownTime'),
  }),
  write({ note: base, widest, beats, imagineBeats, freeBeats, start }, { highest }) {
    const steps = Array.from({ length: Math.min(widest, highest - base) }, (_, i) => i + 1);
    // In one's own time one plays freely between the phrases, for as long as one likes.
    const isFree = freeBeats > 0 && start !== 'ownTime';
    const free: ExerciseItem[] = isFree ? [{ kind: 'free', lengthBeats: freeBeats }] : [];
    return {
      rest: restOf(4),
      phrases: steps.map((step) => ({
        items: [
          note(base, beats, 'mf'),
          { kind: 'imagine', writtenMidi: writtenMidi(base + step), lengthBeats: imagineBeats },
          { ...note(base + step, beats, 'mf', 'mf', 'breath'), judged: ['pitch', 'start', 'hold'] },
          slurred(base, beats, 'mf'),
          ...free,
        ],
      })),
    };
  },
});
