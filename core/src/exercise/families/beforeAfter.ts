import type { Phrase } from '../exercise.ts';
import { defineFamily, note } from './family.ts';
import { beatsOption, markOption, noteOption, startOption, tempoOption, timesOption } from './options.ts';

/** The same long tone before and after anything one wants to know the use of; a few of each, for they differ by themselves. */
export const beforeAfter = defineFamily({
  id: 'beforeAfter',
  skill: 'compare',
  purposes: ['compare'],
  headline: 'compare',
  table: 'beforeAfter',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, 67),
    beats: beatsOption(8, 4, 32),
    from: markOption('mf'),
    tries: timesOption(3, 1, 6),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write({ note: midi, beats, from, tries }) {
    const take: Pick<Phrase, 'items' | 'breath'> = { items: [note(midi, beats, from)], breath: 'one' };
    return {
      rest: { kind: 'asPlayed' },
      phrases: Array.from({ length: 2 * tries }, (_, i) =>
        // Between the two halves comes what is to be compared, as long as it takes.
        i === tries - 1 ? { ...take, rest: { kind: 'wait' as const } } : take,
      ),
    };
  },
});
