import { writtenMidi } from '../../horn/index.ts';
import { note, write, type Family } from './family.ts';

const [C5, D5, E5, F5] = [72, 74, 76, 77];

/** Over the break between C#5 and D5, from above and from below, slurred and over a gap without a breath. */
export const breakDrill: Family = {
  id: 'breakDrill',
  moves: 'nothing',
  bases: () => [writtenMidi(D5), writtenMidi(D5)],
  usual: () => ({ note: writtenMidi(D5), to: writtenMidi(D5), tempoBpm: 60, start: 'countIn' }),
  build(request) {
    return write(this.id, request, {
      rest: { kind: 'beats', beats: 4 },
      phrases: [
        { items: [note(E5, 4, 'mf'), note(D5, 4, 'mf', 'mf', 'slurred')] },
        {
          items: [note(F5, 2, 'mf'), note(E5, 2, 'mf', 'mf', 'slurred'), note(D5, 4, 'mf', 'mf', 'slurred')],
        },
        {
          items: [
            note(C5, 4, 'mf'),
            { kind: 'rest', lengthBeats: 2, breath: 'none' },
            note(D5, 4, 'mf', 'mf', 'breath'),
          ],
          breath: 'one',
        },
        { items: [note(C5, 4, 'mf'), note(D5, 4, 'mf', 'mf', 'slurred')] },
      ],
    });
  },
};
