import { defineFamily, downAndBack, note } from './family.ts';
import {
  beatsOption,
  halfStepsOption,
  markOption,
  noteOption,
  paceOption,
  tempoOption,
  timesOption,
} from './options.ts';

/** A5: from here up a note gives way most easily. */
const USUAL = 81;
/** A fourth. */
const FARTHEST = 5;

/** Any note bent down with its own fingers, and back: the palm keys and the notes under them give way most. */
export const noteBends = defineFamily({
  id: 'noteBends',
  skill: 'voicing',
  purposes: ['voicing'],
  headline: 'bend',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, USUAL),
    bend: halfStepsOption(1, 1, FARTHEST),
    beats: beatsOption(8, 4, 16),
    from: markOption('mf'),
    tries: timesOption(3, 1, 8),
    tempoBpm: tempoOption(60),
    start: paceOption('ownTime'),
  }),
  write: ({ note: midi, bend, beats, from, tries }) => ({
    rest: { kind: 'asPlayed' },
    phrases: [
      {
        items: [{ ...note(midi, beats, from), judged: ['pitch', 'hold'], bend: downAndBack(beats, bend) }],
        breath: 'one',
        repeats: tries,
      },
    ],
  }),
});
