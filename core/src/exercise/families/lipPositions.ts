import { writtenMidi } from '../../horn/index.ts';
import type { AirItem } from '../exercise.ts';
import { defineFamily, rest } from './family.ts';
import { beatsOption, noteOption, tempoOption, timesOption } from './options.ts';

/** Bare air with the lip one way, then the other: which lets more of it through. */
export const lipPositions = defineFamily({
  id: 'lipPositions',
  skill: 'start',
  purposes: ['start', 'compare'],
  headline: 'lips',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, lowest),
    airBeats: beatsOption(4, 2, 8),
    restBeats: beatsOption(4, 2, 8),
    tries: timesOption(4, 1, 8),
    tempoBpm: tempoOption(60),
  }),
  write({ note: base, airBeats, restBeats, tries }) {
    const air = (text: string): AirItem => ({
      kind: 'air',
      writtenMidi: writtenMidi(base),
      lengthBeats: airBeats,
      words: [{ beat: 0, text }],
    });
    return {
      rest: { kind: 'asPlayed' },
      phrases: [{ items: [air('A'), rest(restBeats), air('B')], repeats: tries }],
    };
  },
});
