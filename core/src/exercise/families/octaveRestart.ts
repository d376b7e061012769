import { writtenMidi, type WrittenMidi } from '../../horn/index.ts';
import type { ExerciseItem } from '../exercise.ts';
import { chromatic, note, rest, within, write, type Family } from './family.ts';

/** From here down the upper note is taken as an overtone of the lower, so that no finger moves. */
const OVERTONE_FROM = 61;

function phrase(low: WrittenMidi): ExerciseItem[] {
  const upper = note(low + 12, 4, 'mf');
  const restart = [rest(2), note(low, 2, 'mf', 'mf', 'breath')];
  return [
    low <= OVERTONE_FROM ? { ...upper, fingered: low } : upper,
    note(low, 4, 'mf', 'mf', 'slurred'),
    ...restart,
    ...restart,
    ...restart,
  ];
}

/** Slur down an octave, then start the low note three times in time, by the breath alone; a half step lower each time. */
export const octaveRestart: Family = {
  id: 'octaveRestart',
  moves: 'range',
  bases: ({ lowest, highest }) => [lowest, writtenMidi(highest - 12)],
  usual: ({ lowest }) => ({ note: writtenMidi(67), to: lowest, tempoBpm: 60, start: 'countIn' }),
  build(request) {
    const { note: from, to } = within(this, request);
    return write(this.id, request, {
      rest: { kind: 'beats', beats: 4 },
      phrases: chromatic(from, to).map((low) => ({ items: phrase(low) })),
    });
  },
};
