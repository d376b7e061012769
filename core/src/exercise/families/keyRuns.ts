import { chromatic, defineFamily, note, slurred, thereAndBack } from './family.ts';
import { choiceOption, markOption, noteOption, startOption, tempoOption, timesOption } from './options.ts';

const BEATS = { eighths: 0.5, quarters: 1, halves: 2, wholes: 4 };
/** A trill of so many changes, whatever its notes last. */
const TRILLS = 8;
/** D6, the first palm key. */
const USUAL_LOW = 86;

/** Palm keys, table keys or any two others: chromatic there and back, or the two notes in turn, all slurred. */
export const keyRuns = defineFamily({
  id: 'keyRuns',
  skill: 'line',
  purposes: ['line'],
  headline: 'line',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, USUAL_LOW),
    to: noteOption(lowest, highest, Math.min(highest, USUAL_LOW + 3)),
    form: choiceOption(['run', 'trill'], 'run'),
    value: choiceOption(['eighths', 'quarters', 'halves', 'wholes'], 'quarters'),
    from: markOption('mf'),
    tries: timesOption(4, 1, 8),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write({ note: first, to, form, value, from, tries }) {
    const beats = BEATS[value];
    const run = thereAndBack(chromatic(first, to));
    const trill = Array.from({ length: 2 * TRILLS + 1 }, (_, i) => (i % 2 === 0 ? first : to));
    const [begins, ...others] = form === 'trill' ? trill : run;
    return {
      rest: { kind: 'asPlayed' },
      phrases: [
        {
          items: [note(begins, beats, from), ...others.map((midi) => slurred(midi, beats, from))],
          repeats: tries,
        },
      ],
    };
  },
});
