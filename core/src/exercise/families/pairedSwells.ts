import { chromatic, defineFamily, note } from './family.ts';
import { beatsOption, markOption, noteOption, paceOption, tempoOption } from './options.ts';

/** Grow, move up a half step at the top, fade; the same in every octave up to the top note; the next pair a half step on. */
export const pairedSwells = defineFamily({
  id: 'pairedSwells',
  skill: 'swell',
  purposes: ['swell'],
  headline: 'swells',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest - 1, lowest),
    to: noteOption(lowest, highest - 1, lowest + 11),
    high: noteOption(Math.min(lowest + 12, highest), highest, highest),
    beats: beatsOption(4, 2, 12),
    from: markOption('pp'),
    loud: markOption('ff'),
    tempoBpm: tempoOption(40),
    start: paceOption('countIn'),
  }),
  write({ note: first, to, high, beats, from, loud }) {
    const pairs = chromatic(first, to).flatMap((base) =>
      Array.from({ length: Math.max(1, Math.ceil((high - base) / 12)) }, (_, octave) => base + 12 * octave),
    );
    return {
      rest: { kind: 'asPlayed' },
      phrases: pairs.map((low) => ({
        items: [note(low, beats, from, loud, 'breath'), note(low + 1, beats, loud, from, 'slurred')],
        breath: 'one',
      })),
    };
  },
});
