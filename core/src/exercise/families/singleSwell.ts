import { shapedDynamics } from '../shapedDynamics.ts';
import { SWELL_SHAPES } from '../swellShape.ts';
import { defineFamily, note } from './family.ts';
import { beatsOption, choiceOption, markOption, noteOption, startOption, tempoOption } from './options.ts';

/** One note, one breath, one hairpin, like a volume knob. */
export const singleSwell = defineFamily({
  id: 'swell',
  skill: 'swell',
  purposes: ['swell'],
  headline: 'swell',
  isSingle: true,
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, 67),
    shape: choiceOption(SWELL_SHAPES, 'growFade'),
    beats: beatsOption(8, 2, 32),
    from: markOption('pp'),
    loud: markOption('ff'),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write: ({ note: midi, shape, beats, from, loud }) => ({
    phrases: [
      {
        items: [{ ...note(midi, beats, from), dynamics: shapedDynamics({ shape, beats, soft: from, loud }) }],
        breath: 'one',
      },
    ],
  }),
});
