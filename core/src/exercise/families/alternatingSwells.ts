import { writtenMidi } from '../../horn/index.ts';
import { note, rest, within, write, type Family } from './family.ts';

/** Down four notes, growing and fading in turn, with two beats off between: starts and ends count. */
export const alternatingSwells: Family = {
  id: 'alternatingSwells',
  moves: 'note',
  bases: ({ lowest, highest }) => [writtenMidi(lowest + 3), highest],
  usual: () => ({ note: writtenMidi(70), to: writtenMidi(70), tempoBpm: 60, start: 'countIn' }),
  build(request) {
    const { note: top } = within(this, request);
    return write(this.id, request, {
      phrases: [
        {
          items: [
            note(top, 6, 'mp', 'f', 'breath'),
            rest(2),
            note(top - 1, 6, 'f', 'mp', 'breath'),
            rest(2),
            note(top - 2, 6, 'mp', 'f', 'breath'),
            rest(2),
            note(top - 3, 4, 'f', 'p', 'breath'),
          ],
        },
      ],
    });
  },
};
