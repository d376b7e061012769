import { writtenMidi } from '../../horn/index.ts';
import { note, within, write, type Family } from './family.ts';

/** Three fingerings, as Bb3, D4 and G4 lie. */
const STEPS = [0, 4, 9];
const AIR_BEATS = 4;

/** Air alone, more air until the note grabs by itself, less until only air is left. No tongue. */
export const airThenNote: Family = {
  id: 'airThenNote',
  moves: 'note',
  bases: ({ lowest }) => [lowest, writtenMidi(lowest + 12)],
  usual: ({ lowest }) => ({ note: lowest, to: lowest, tempoBpm: 60, start: 'playToStart' }),
  build(request) {
    const { note: base } = within(this, request);
    return write(this.id, request, {
      rest: { kind: 'beats', beats: 4 },
      phrases: STEPS.map((step) => {
        const midi = writtenMidi(base + step);
        const air = { kind: 'air' as const, writtenMidi: midi, lengthBeats: AIR_BEATS };
        return {
          items: [
            air,
            {
              ...note(midi, 8, 'pp', 'pp', 'breath'),
              dynamics: [
                { beat: 0, mark: 'pp' },
                { beat: 4, mark: 'mp' },
                { beat: 8, mark: 'pp' },
              ],
            },
            air,
          ],
          breath: 'one' as const,
        };
      }),
    });
  },
};
