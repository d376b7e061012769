import { defineFamily, note } from './family.ts';
import { beatsOption, markOption, noteOption, startOption, tempoOption } from './options.ts';

/** The bottom is D4 and down, the top above C#6, where the range is the horn's own. */
const END_STEPS = 4;

/** When time is short: one easy middle note, one at the bottom, one at the top, each as long as it stays good. */
export const threeZones = defineFamily({
  id: 'threeZones',
  skill: 'hold',
  purposes: ['hold'],
  headline: 'hold',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest + END_STEPS + 1, highest - END_STEPS - 1, 69),
    low: noteOption(lowest, lowest + END_STEPS, lowest + END_STEPS),
    high: noteOption(highest - END_STEPS, highest, Math.min(highest, 86)),
    beats: beatsOption(24, 8, 64),
    from: markOption('mf'),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write: ({ note: middle, low, high, beats, from }) => ({
    onFault: 'stop',
    rest: { kind: 'asPlayed' },
    phrases: [middle, low, high].map((midi) => ({
      items: [{ ...note(midi, beats, from), open: true }],
      breath: 'one',
    })),
  }),
});
