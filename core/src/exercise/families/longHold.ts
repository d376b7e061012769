import { defineFamily, note } from './family.ts';
import { beatsOption, markOption, noteOption, startOption, tempoOption, timesOption } from './options.ts';

/** One steady note for as long as it stays good, and no longer: a bad tone is not rehearsed. */
export const longHold = defineFamily({
  id: 'longHold',
  skill: 'hold',
  purposes: ['hold'],
  headline: 'hold',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, 67),
    beats: beatsOption(32, 8, 64),
    from: markOption('mf'),
    tries: timesOption(3, 1, 10),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write: ({ note: base, beats, from, tries }) => ({
    onFault: 'stop',
    rest: { kind: 'asPlayed' },
    phrases: [{ items: [{ ...note(base, beats, from), open: true }], breath: 'one', repeats: tries }],
  }),
});
