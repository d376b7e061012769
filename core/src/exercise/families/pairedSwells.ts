import { hornById, writtenMidi } from '../../horn/index.ts';
import { chromatic, note, within, write, type Family } from './family.ts';

/** Grow, move up a half step at the top, fade; the same an octave higher; the next pair a half step on. */
export const pairedSwells: Family = {
  id: 'pairedSwells',
  moves: 'range',
  bases: ({ lowest, highest }) => [lowest, writtenMidi(highest - 1)],
  usual: ({ lowest }) => ({ note: lowest, to: writtenMidi(lowest + 11), tempoBpm: 40, start: 'countIn' }),
  build(request) {
    const { note: from, to } = within(this, request);
    const { highest } = hornById(request.hornId);
    const pairs = chromatic(from, to).flatMap((base) => [base, base + 12].filter((low) => low < highest));
    return write(this.id, request, {
      rest: { kind: 'asPlayed' },
      phrases: pairs.map((low) => ({
        items: [note(low, 4, 'pp', 'ff', 'breath'), note(low + 1, 4, 'ff', 'pp', 'slurred')],
        breath: 'one',
      })),
    });
  },
};
