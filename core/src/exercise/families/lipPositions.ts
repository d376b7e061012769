import { writtenMidi } from '../../horn/index.ts';
import type { AirItem } from '../exercise.ts';
import { defineFamily, rest } from './family.ts';
import { beatsOption, noteOption, tempoOption, timesOption } from './options.ts';

/** Bare air with the lip one way, then the other, in an order drawn by chance: which lets more of it through. */
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
  write({ note: base, airBeats, restBeats, tries }, _horn, random) {
    const air = (text: string): AirItem => ({
      kind: 'air',
      writtenMidi: writtenMidi(base),
      lengthBeats: airBeats,
      words: [{ beat: 0, text }],
    });
    return {
      rest: { kind: 'asPlayed' },
      phrases: Array.from({ length: tries }, () => {
        const [first, second] = random.uniform() < 0.5 ? ['A', 'B'] : ['B', 'A'];
        return { items: [air(first), rest(restBeats), air(second)] };
      }),
    };
  },
});
