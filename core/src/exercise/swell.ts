import type { WrittenMidi } from '../horn/index.ts';
import type { DynamicMark } from './dynamics.ts';
import type { DynamicPoint, Exercise, Pace } from './exercise.ts';
import type { SwellShape } from './swellShape.ts';
import { parseExercise } from './validate.ts';

export interface SwellRequest {
  note: WrittenMidi;
  shape: SwellShape;
  beats: number;
  tempoBpm: number;
  start: Exclude<Pace, 'ownTime'>;
  soft?: DynamicMark;
  loud?: DynamicMark;
}

/** A shape of loudness over so many beats; a steady one at `loud`, mf where nothing is asked for. */
export function shapedDynamics({
  shape,
  beats,
  soft = 'pp',
  loud,
}: Pick<SwellRequest, 'shape' | 'beats' | 'soft' | 'loud'>): DynamicPoint[] {
  const top = loud ?? 'ff';
  const ends = (from: DynamicMark, to: DynamicMark) => [
    { beat: 0, mark: from },
    { beat: beats, mark: to },
  ];
  switch (shape) {
    case 'growFade':
      return [
        { beat: 0, mark: soft },
        { beat: beats / 2, mark: top },
        { beat: beats, mark: soft },
      ];
    case 'fade':
      return ends(top, soft);
    case 'grow':
      return ends(soft, top);
    case 'steady':
      return ends(loud ?? 'mf', loud ?? 'mf');
  }
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
