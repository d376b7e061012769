import { defineFamily, note } from './family.ts';
import { noteOption, startOption, tempoOption } from './options.ts';

const SLOWEST_BPM = 80;
const FASTEST_BPM = 120;

/** The last four notes of the horn, two bars each and one for the lowest, from f down to pp in one breath. */
export const quietDescent = defineFamily({
  id: 'quietDescent',
  skill: 'swell',
  purposes: ['swell', 'line'],
  headline: 'descent',
  options: ({ lowest, highest, transposition }) => ({
    note: noteOption(lowest + 3, Math.min(lowest + 12, highest), lowest + 3),
    // The larger horns take more air.
    tempoBpm: tempoOption(transposition <= -14 ? 100 : SLOWEST_BPM, SLOWEST_BPM, FASTEST_BPM),
    start: startOption('countIn'),
  }),
  write: ({ note: top }) => ({
    tempoRangeBpm: [SLOWEST_BPM, FASTEST_BPM],
    phrases: [
      {
        items: [
          note(top, 8, 'f', 'mf'),
          note(top - 1, 8, 'mf', 'mp', 'slurred'),
          note(top - 2, 8, 'mp', 'p', 'slurred'),
          note(top - 3, 4, 'p', 'pp', 'slurred'),
        ],
        breath: 'one',
      },
    ],
  }),
});
