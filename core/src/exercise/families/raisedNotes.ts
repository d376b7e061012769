import { defineFamily, upAndBack } from './family.ts';
import { highNote, highNoteOptions, withHigh } from './high.ts';
import { beatsOption, centsOption, paceOption, tempoOption, timesOption } from './options.ts';

/** A high note raised with its own fingers and brought back: what makes a flat fingering good. */
export const raisedNotes = defineFamily({
  id: 'raisedNotes',
  skill: 'voicing',
  purposes: ['voicing', 'ear'],
  headline: 'bend',
  options: (horn) =>
    withHigh(horn, () => ({
      ...highNoteOptions(),
      raise: centsOption(30, 10, 100),
      beats: beatsOption(8, 4, 16),
      tries: timesOption(3, 1, 8),
      tempoBpm: tempoOption(60),
      start: paceOption('ownTime'),
    })),
  write: ({ note, keys, raise, beats, tries }) => ({
    rest: { kind: 'asPlayed' },
    phrases: [
      {
        items: [
          { ...highNote(note, keys, beats, 'mf', 'any', ['pitch', 'hold']), bend: upAndBack(beats, raise) },
        ],
        breath: 'one',
        repeats: tries,
      },
    ],
  }),
});
