import { writtenMidi } from '../../horn/index.ts';
import { chromatic, note, within, write, type Family } from './family.ts';

/** Hear the note, hum it, play it: what counts is where its first instant lands. */
export const hearHumPlay: Family = {
  id: 'hearHumPlay',
  moves: 'range',
  bases: ({ lowest, highest }) => [lowest, highest],
  usual: () => ({ note: writtenMidi(67), to: writtenMidi(71), tempoBpm: 60, start: 'countIn' }),
  build(request) {
    const { note: from, to } = within(this, request);
    return write(
      this.id,
      { ...request, start: 'countIn' },
      {
        rest: { kind: 'beats', beats: 4 },
        phrases: chromatic(from, to).map((midi) => ({
          items: [
            { kind: 'hear', writtenMidi: midi, lengthBeats: 4 },
            { kind: 'hum', writtenMidi: midi, lengthBeats: 4 },
            note(midi, 4, 'mf', 'mf', 'breath'),
          ],
        })),
      },
    );
  },
};
