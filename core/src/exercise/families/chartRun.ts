import type { DynamicMark } from '../dynamics.ts';
import { chromatic, defineFamily, note, rest, restOf } from './family.ts';
import { beatsOption, notesOption, readNotes, tempoOption, type Options } from './options.ts';
import { USUAL_PULL } from './usualPull.ts';

const LEVELS: readonly DynamicMark[] = ['p', 'mf', 'f'];
const judged = ['pitch', 'start'] as const;

/** Each note soft, medium and loud, in the order that tells the map most; without a choice every note of the range, upward. */
export const chartRunDrill = defineFamily({
  id: 'chartRun',
  skill: 'compare',
  purposes: ['compare', 'hold'],
  headline: 'line',
  home: 'map',
  options: () => ({ notes: notesOption, beats: beatsOption(2, 1, 4), tempoBpm: tempoOption(80) }),
  write({ notes, beats }, { lowest, highest }) {
    const chosen = readNotes(notes).filter((midi) => midi >= lowest && midi <= highest);
    return {
      rest: restOf(2),
      phrases: (chosen.length > 0 ? chosen : chromatic(lowest, highest)).map((midi) => ({
        items: LEVELS.flatMap((mark, i) => {
          const played = { ...note(midi, beats, mark), judged: [...judged] };
          return i === 0 ? [played] : [rest(1), played];
        }),
      })),
    };
  },
});

const pullOption = {
  kind: 'number',
  unit: 'tenthMm',
  least: -60,
  most: 60,
  step: 1,
  usual: USUAL_PULL,
} as const;

/** Low, middle and high of the range: the short tubes move most, the long ones hardly. */
const movedNotes = (lowest: number, highest: number) =>
  [62, 71, 84].map((midi) => Math.max(lowest, Math.min(highest, midi)));

/** Three notes, the mouthpiece moved by what is written, the same three notes: what a millimetre does on this horn. */
export const mouthpieceMove = defineFamily({
  id: 'mouthpieceMove',
  skill: 'compare',
  purposes: ['compare'],
  headline: 'compare',
  home: 'mouthpiece',
  options: () =>
    ({ pull: pullOption, beats: beatsOption(4, 3, 8), tempoBpm: tempoOption(72) }) satisfies Options,
  write({ beats }, { lowest, highest }) {
    const items = movedNotes(lowest, highest).flatMap((midi, i) => {
      const played = { ...note(midi, beats, 'mf'), judged: [...judged] };
      return i === 0 ? [played] : [rest(2), played];
    });
    return { rest: { kind: 'wait' }, phrases: [{ items }, { items }] };
  },
});
