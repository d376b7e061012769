import type { DynamicPoint, PhraseOrder } from '../exercise.ts';
import { shapedDynamics } from '../shapedDynamics.ts';
import { chromatic, defineFamily, note } from './family.ts';
import {
  beatsOption,
  choiceOption,
  markOption,
  noteOption,
  pickedNotesOption,
  pickedOf,
  startOption,
  tempoOption,
} from './options.ts';
import { readSofts, softerOf, softsOption } from './softs.ts';

const FIFTH = 7;
const OCTAVE = 12;

/** By fifths from the first note: every pitch class in the order of the circle, each from its lowest octave up. */
function byFifths(notes: readonly number[]): number[] {
  const [first] = notes;
  const place = (midi: number) => {
    const steps = (((midi - first) % OCTAVE) + OCTAVE) % OCTAVE;
    // Seven is its own inverse in the circle of twelve.
    return (steps * FIFTH) % OCTAVE;
  };
  return notes.toSorted((a, b) => place(a) - place(b) || a - b);
}

/** Every chromatic note of a stretch of the horn, or the ones that were picked, one long tone or one hairpin each. */
export const chromaticTones = defineFamily({
  id: 'chromaticTones',
  skill: 'hold',
  purposes: ['hold', 'swell', 'line'],
  headline: 'everyNote',
  table: 'everyNote',
  options: ({ lowest, highest }) => ({
    note: noteOption(lowest, highest, lowest),
    to: noteOption(lowest, highest, highest),
    notes: pickedNotesOption(lowest, highest),
    path: choiceOption(['upward', 'downward', 'middleOutward', 'byFifths', 'asPicked'], 'upward'),
    shape: choiceOption(['steady', 'grow', 'fade', 'growFade', 'inTurn'], 'steady'),
    beats: beatsOption(8, 4, 32),
    from: markOption('mf'),
    soft: markOption('p'),
    softs: softsOption,
    loud: markOption('f'),
    tempoBpm: tempoOption(60),
    start: startOption('playToStart'),
  }),
  write({ note: first, to, notes, path, shape, beats, from, soft, softs, loud }, { lowest, highest }) {
    const picked = pickedOf(notes, lowest, highest);
    const all = picked.length > 0 ? picked : chromatic(first, to);
    const order: PhraseOrder = path === 'byFifths' || path === 'asPicked' ? 'asWritten' : path;
    const own = readSofts(softs);
    const dynamicsOf = (midi: number, place: number): { dynamics: DynamicPoint[] } | null => {
      if (shape === 'steady') return null;
      const each = shape === 'inTurn' ? (place % 2 === 0 ? 'grow' : 'fade') : shape;
      return {
        dynamics: shapedDynamics({ shape: each, beats, soft: softerOf(own.get(midi) ?? soft, loud), loud }),
      };
    };
    return {
      order,
      rest: { kind: 'asPlayed' },
      phrases: (path === 'byFifths' ? byFifths(all) : all).map((midi, i) => ({
        items: [{ ...note(midi, beats, from), ...dynamicsOf(midi, i) }],
        breath: 'one',
      })),
    };
  },
});
