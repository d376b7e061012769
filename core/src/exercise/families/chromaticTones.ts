import { chromatic, defineFamily, note } from './family.ts';
import { beatsOption, choiceOption, markOption, noteOption, startOption, tempoOption } from './options.ts';

/** Every chromatic note of a stretch of the horn, one long tone each. */
export const chromaticTones = defineFamily({
  id: 'chromaticTones',
  skill: 'hold',
  purposes: ['hold', 'line'],
  headline: 'steady',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, lowest),
    to: noteOption(lowest, highest, highest),
    path: choiceOption(['upward', 'downward', 'middleOutward'], 'upward'),
    beats: beatsOption(8, 4, 32),
    from: markOption('mf'),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write: ({ note: first, to, path, beats, from }) => ({
    order: path,
    rest: { kind: 'asPlayed' },
    phrases: chromatic(first, to).map((midi) => ({ items: [note(midi, beats, from)], breath: 'one' })),
  }),
});
