import type { WrittenMidi } from '../horn/index.ts';
import type { DynamicMark } from './dynamics.ts';
import type { DynamicPoint, Exercise, NoteItem, StartMode } from './exercise.ts';
import { targetFraction, writtenTurnBeat } from './target.ts';
import { parseExercise } from './validate.ts';

export const SWELL_SHAPES = ['growFade', 'fade', 'grow', 'steady'] as const;
/** pp<ff>pp, ff>pp, pp<ff, or one level throughout. */
export type SwellShape = (typeof SWELL_SHAPES)[number];

export interface SwellRequest {
  note: WrittenMidi;
  shape: SwellShape;
  beats: number;
  tempoBpm: number;
  start: StartMode;
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
    version: 2,
    family: 'swell',
    tempoBpm,
    beatsPerBar: 4,
    start,
    phrases: [{ items: [item], breath: 'one' }],
  });
}

/** The shape of a written note, whatever its marks: the inverse of the builder. */
export function shapeOf(note: Pick<NoteItem, 'dynamics' | 'lengthBeats'>): SwellShape {
  if (writtenTurnBeat(note) !== null) return 'growFade';
  const first = targetFraction(note, 0);
  const last = targetFraction(note, note.lengthBeats);
  return first === last ? 'steady' : first < last ? 'grow' : 'fade';
}
