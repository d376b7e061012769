import type { Vibrato } from '../exercise.ts';
import { defineFamily, note, slurred } from './family.ts';
import { beatsOption, choiceOption, markOption, noteOption, startOption, tempoOption } from './options.ts';

const WAYS: Record<'offSlowNormal' | 'slow' | 'normal', readonly Vibrato[]> = {
  offSlowNormal: ['off', 'slow', 'normal'],
  slow: ['off', 'slow'],
  normal: ['off', 'normal'],
};

/** A straight tone, then one that swings on purpose: how fast, how far, how evenly. */
export const vibratoTones = defineFamily({
  id: 'vibratoTones',
  skill: 'hold',
  purposes: ['hold', 'voicing'],
  headline: 'vibrato',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, 67),
    vibrato: choiceOption(['offSlowNormal', 'slow', 'normal'], 'offSlowNormal'),
    beats: beatsOption(4, 3, 8),
    from: markOption('mf'),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write: ({ note: midi, vibrato, beats, from }) => ({
    rest: { kind: 'asPlayed' },
    phrases: [
      {
        items: WAYS[vibrato].map((each, i) => ({
          ...(i === 0 ? note(midi, beats, from) : slurred(midi, beats, from)),
          vibrato: each,
          judged: ['pitch', 'hold', 'vibrato'],
        })),
        breath: 'one',
        repeats: 2,
      },
    ],
  }),
});
