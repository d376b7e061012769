import { writtenMidi } from '../../horn/index.ts';
import { note, within, write, type Family } from './family.ts';

const SLOWEST_BPM = 80;
const FASTEST_BPM = 120;

/** The last four notes of the horn, two bars each and one for the lowest, from f down to pp in one breath. */
export const quietDescent: Family = {
  id: 'quietDescent',
  moves: 'note',
  bases: ({ lowest }) => [writtenMidi(lowest + 3), writtenMidi(lowest + 12)],
  // The larger horns take more air.
  usual: ({ lowest, transposition }) => ({
    note: writtenMidi(lowest + 3),
    to: lowest,
    tempoBpm: transposition <= -14 ? 100 : SLOWEST_BPM,
    start: 'countIn',
  }),
  build(request) {
    const { note: top, tempoBpm } = within(this, request);
    return write(
      this.id,
      { ...request, tempoBpm: Math.max(SLOWEST_BPM, Math.min(FASTEST_BPM, tempoBpm)) },
      {
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
      },
    );
  },
};
