import type { Attack } from '../exercise.ts';
import { chromatic, defineFamily, note, restOf } from './family.ts';
import { beatsOption, markOption, noteOption, startOption, tempoOption, timesOption } from './options.ts';

/** G4, from where the notes begin to ask for the right voicing. */
const USUAL = 67;
const LAST = 72;

/** Down to the bottom of the horn, every note tongued, then the same slurred: which way speaks, and where does it jump? */
export const lowTwoWays = defineFamily({
  id: 'lowTwoWays',
  skill: 'start',
  purposes: ['start', 'line', 'compare'],
  headline: 'twoWays',
  options: ({ lowest, highest }) => ({
    note: noteOption(Math.min(lowest + 1, highest), Math.min(LAST, highest), USUAL),
    to: noteOption(lowest, Math.min(LAST, highest), lowest),
    beats: beatsOption(2, 1, 4),
    from: markOption('mf'),
    tries: timesOption(3, 1, 6),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write({ note: first, to, beats, from, tries }) {
    const line = (attack: Attack) => ({
      items: chromatic(first, to).map((midi, i) =>
        note(midi, beats, from, from, i === 0 && attack === 'slurred' ? 'any' : attack),
      ),
    });
    const both = [line('tongued'), line('slurred')];
    return { rest: restOf(4), phrases: Array.from({ length: tries }, () => both).flat() };
  },
});
