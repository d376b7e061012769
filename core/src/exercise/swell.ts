import type { WrittenMidi } from '../horn/index.ts';
import type { Exercise, Pace } from './exercise.ts';
import { shapedDynamics, type ShapeRequest } from './shapedDynamics.ts';
import { parseExercise } from './validate.ts';

export interface SwellRequest extends ShapeRequest {
  note: WrittenMidi;
  tempoBpm: number;
  start: Exclude<Pace, 'ownTime'>;
}

/** The single swell: one note, one breath, one hairpin. Throws `exercise-invalid`. */
export function buildSwell(request: SwellRequest): Exercise {
  const { note, beats, tempoBpm, start } = request;
  const item = { kind: 'note', writtenMidi: note, lengthBeats: beats, dynamics: shapedDynamics(request) };
  return parseExercise({
    version: 3,
    family: 'swell',
    tempoBpm,
    beatsPerBar: 4,
    start,
    phrases: [{ items: [item], breath: 'one' }],
  });
}
