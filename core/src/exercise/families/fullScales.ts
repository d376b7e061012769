import { HIGHEST_NOTE, LAST_REGULAR, writtenMidi } from '../../horn/index.ts';
import { MAJOR_KEYS, type MajorKey } from '../keys.ts';
import { defineFamily, note, restOf, slurred } from './family.ts';
import {
  beatsOption,
  choiceOption,
  markOption,
  noteOption,
  paceOption,
  startOption,
  tempoOption,
  timesOption,
} from './options.ts';
import { withHigh } from './high.ts';
import { fullScale, scaleEnds } from './scaleRange.ts';

const line = (notes: readonly number[], beats: number, mark: Parameters<typeof slurred>[2]) =>
  notes.map((midi, i) => (i === 0 ? note(midi, beats, mark) : slurred(midi, beats, mark)));

/** One key or all, each in one phrase over a range. */
const scalePhrases = (
  key: MajorKey | 'all',
  range: Parameters<typeof fullScale>[1],
  beats: number,
  mark: Parameters<typeof slurred>[2],
) =>
  (key === 'all' ? MAJOR_KEYS : [key]).map((each) => ({
    items: line(fullScale(each, range), beats, mark),
    key: each,
  }));

/** Each major scale past its octave to the highest note of the key on the horn, and to the lowest. */
export const fullScales = defineFamily({
  id: 'fullScales',
  skill: 'line',
  purposes: ['line'],
  headline: 'line',
  options: () => ({
    key: choiceOption(['all', ...MAJOR_KEYS], 'all'),
    beats: beatsOption(1, 1, 4),
    from: markOption('mf'),
    tempoBpm: tempoOption(90),
    start: paceOption('countIn'),
  }),
  write: ({ key, beats, from }, horn) => ({
    rest: restOf(8),
    phrases: scalePhrases(key, horn, beats, from),
  }),
});

/** The same scales carried on into altissimo. */
export const highScales = defineFamily({
  id: 'highScales',
  skill: 'line',
  gate: 'altissimo',
  purposes: ['line', 'voicing'],
  headline: 'line',
  options: (horn) =>
    withHigh(horn, () => ({
      key: choiceOption(['all', ...MAJOR_KEYS], 'G'),
      high: noteOption(LAST_REGULAR + 1, HIGHEST_NOTE, LAST_REGULAR + 3),
      beats: beatsOption(1, 1, 4),
      from: markOption('mf'),
      tempoBpm: tempoOption(72),
      start: startOption('countIn'),
    })),
  write: ({ key, high, beats, from }, { lowest }) => ({
    rest: restOf(8),
    phrases: scalePhrases(key, { lowest, highest: writtenMidi(high) }, beats, from),
  }),
});

/** The ends of those scales alone: only a few are different over all keys. */
export const scaleEndDrill = defineFamily({
  id: 'scaleEnds',
  skill: 'line',
  purposes: ['line'],
  headline: 'line',
  table: 'scaleEnds',
  options: () => ({
    end: choiceOption(['both', 'top', 'bottom'], 'both'),
    tries: timesOption(2, 1, 8),
    beats: beatsOption(1, 1, 4),
    from: markOption('mf'),
    tempoBpm: tempoOption(90),
    start: startOption('countIn'),
  }),
  write: ({ end, tries, beats, from }, horn) => ({
    rest: restOf(4),
    phrases: scaleEnds(horn)
      .filter((each) => end === 'both' || each.end === end)
      .map(({ notes, keys }) => {
        const there = line([...notes, ...notes.slice(0, -1).toReversed()], beats, from);
        return { items: there, repeats: tries, key: keys[0] };
      }),
  }),
});
