import { shapedDynamics } from '../shapedDynamics.ts';
import { defineFamily, downAndBack } from './family.ts';
import { highNote, highNoteOptions, withHigh } from './high.ts';
import {
  beatsOption,
  choiceOption,
  halfStepsOption,
  markOption,
  paceOption,
  startOption,
  tempoOption,
  timesOption,
} from './options.ts';

/** One high note for as long as it stays good. */
export const highHold = defineFamily({
  id: 'highHold',
  skill: 'hold',
  gate: 'altissimo',
  purposes: ['hold', 'voicing'],
  headline: 'hold',
  options: (horn) =>
    withHigh(horn, () => ({
      ...highNoteOptions(),
      beats: beatsOption(12, 4, 32),
      from: markOption('mf'),
      tries: timesOption(3, 1, 10),
      tempoBpm: tempoOption(60),
      start: startOption('playToStart'),
    })),
  write: ({ note, keys, beats, from, tries }) => ({
    onFault: 'stop',
    rest: { kind: 'asPlayed' },
    phrases: [
      {
        items: [{ ...highNote(note, keys, beats, from, 'any'), open: true }],
        breath: 'one',
        repeats: tries,
      },
    ],
  }),
});

/** A swell on a high note. */
export const highSwell = defineFamily({
  id: 'highSwell',
  skill: 'swell',
  gate: 'altissimo',
  purposes: ['swell', 'voicing'],
  headline: 'swell',
  options: (horn) =>
    withHigh(horn, () => ({
      ...highNoteOptions(),
      shape: choiceOption(['growFade', 'fade', 'grow'], 'growFade'),
      beats: beatsOption(8, 4, 16),
      from: markOption('p'),
      loud: markOption('f'),
      tempoBpm: tempoOption(60),
      start: startOption('playToStart'),
    })),
  write: ({ note, keys, shape, beats, from, loud }) => ({
    rest: { kind: 'asPlayed' },
    phrases: [
      {
        items: [
          {
            ...highNote(note, keys, beats, from, 'any'),
            dynamics: shapedDynamics({ shape, beats, soft: from, loud }),
          },
        ],
        breath: 'one',
        repeats: 2,
      },
    ],
  }),
});

/** One fingering: slid to a lower note and back by the voicing alone. */
export const voicingDrop = defineFamily({
  id: 'voicingDrop',
  skill: 'voicing',
  gate: 'altissimo',
  purposes: ['voicing'],
  headline: 'bend',
  options: (horn) =>
    withHigh(horn, () => ({
      ...highNoteOptions(),
      bend: halfStepsOption(2, 1, 7),
      beats: beatsOption(8, 4, 16),
      tries: timesOption(3, 1, 8),
      tempoBpm: tempoOption(60),
      start: paceOption('ownTime'),
    })),
  write({ note, keys, bend, beats, tries }) {
    return {
      rest: { kind: 'asPlayed' },
      phrases: [
        {
          items: [
            {
              ...highNote(note, keys, beats, 'mf', 'any', ['pitch', 'hold']),
              bend: downAndBack(beats, bend),
            },
          ],
          breath: 'one',
          repeats: tries,
        },
      ],
    };
  },
});
