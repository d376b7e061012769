import { writtenMidi } from '../../horn/index.ts';
import { defineFamily } from './family.ts';
import { beatsOption, noteOption, startOption, tempoOption, timesOption } from './options.ts';

/** One fingering held all through, and whatever the voicing finds in it: the list of what spoke. */
export const insideFingering = defineFamily({
  id: 'insideFingering',
  skill: 'voicing',
  purposes: ['voicing', 'ear'],
  headline: 'spoke',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, lowest),
    freeBeats: beatsOption(24, 8, 60),
    tries: timesOption(1, 1, 6),
    tempoBpm: tempoOption(60),
    start: startOption('countIn'),
  }),
  write: ({ note, freeBeats, tries }) => ({
    rest: { kind: 'wait' },
    phrases: [
      {
        items: [{ kind: 'free', lengthBeats: freeBeats, fingered: writtenMidi(note) }],
        breath: 'free',
        repeats: tries,
      },
    ],
  }),
});
