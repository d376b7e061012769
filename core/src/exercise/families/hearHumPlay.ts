import { chromatic, defineFamily, note, restOf } from './family.ts';
import { beatsOption, noteOption, tempoOption } from './options.ts';

/** Hear the note, hum it, play it: what counts is where its first instant lands. */
export const hearHumPlay = defineFamily({
  id: 'hearHumPlay',
  skill: 'ear',
  purposes: ['ear'],
  headline: 'hum',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, 67),
    to: noteOption(lowest, highest, 71),
    beats: beatsOption(4, 2, 8),
    tempoBpm: tempoOption(60),
  }),
  write: ({ note: from, to, beats }) => ({
    rest: restOf(4),
    phrases: chromatic(from, to).map((midi) => ({
      items: [
        { kind: 'hear', writtenMidi: midi, lengthBeats: beats },
        { kind: 'hum', writtenMidi: midi, lengthBeats: beats },
        note(midi, beats, 'mf', 'mf', 'breath'),
      ],
    })),
  }),
});
