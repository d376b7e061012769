import { defineFamily, note } from './family.ts';
import { beatsOption, markOption, noteOption, paceOption, tempoOption, timesOption } from './options.ts';

const VOWELS = ['ee', 'ay', 'ah', 'oh', 'oo'];

/** A low note held while the tongue goes through the vowels: the colour moves, the pitch hardly. */
export const vowelSweep = defineFamily({
  id: 'vowelSweep',
  skill: 'voicing',
  purposes: ['voicing'],
  headline: 'vowels',
  options: ({ lowest }) => ({
    note: noteOption(lowest, lowest + 7, lowest),
    beats: beatsOption(2, 1, 4),
    from: markOption('mf'),
    tries: timesOption(3, 1, 8),
    tempoBpm: tempoOption(60),
    start: paceOption('ownTime'),
  }),
  write: ({ note: low, beats, from, tries }) => ({
    rest: { kind: 'asPlayed' },
    phrases: [
      {
        items: [
          {
            ...note(low, VOWELS.length * beats, from),
            judged: ['pitch', 'colour', 'hold'],
            words: VOWELS.map((text, i) => ({ beat: i * beats, text })),
          },
        ],
        breath: 'one',
        repeats: tries,
      },
    ],
  }),
});
