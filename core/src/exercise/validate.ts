import * as yup from 'yup';
import { CoreError } from '../signal/index.ts';
import { DYNAMIC_MARKS } from './dynamics.ts';
import type { Exercise } from './exercise.ts';

const pointSchema = yup.object({
  beat: yup.number().required().min(0).max(64),
  mark: yup.string().oneOf(DYNAMIC_MARKS).required(),
});

const noteSchema = yup.object({
  kind: yup.string().oneOf(['note']).required(),
  writtenMidi: yup.number().required().integer().min(40).max(110),
  lengthBeats: yup.number().required().min(1).max(64),
  dynamics: yup
    .array(pointSchema)
    .required()
    .min(2)
    .max(16)
    .test('rising', '${path} must begin at beat 0, rise, and end with the note', (points, { parent }) => {
      const { lengthBeats } = parent as { lengthBeats?: number };
      const beats = (points ?? []).map(({ beat }) => beat);
      return (
        beats[0] === 0 &&
        beats.at(-1) === lengthBeats &&
        beats.every((beat, i) => i === 0 || beat > beats[i - 1])
      );
    }),
});

/** The door for exercises from files, URLs and storage. Messages name the place (`items[0].lengthBeats`). */
export const exerciseSchema = yup.object({
  version: yup.number().oneOf([1]).required(),
  tempoBpm: yup.number().required().min(20).max(300),
  beatsPerBar: yup.number().required().integer().min(1).max(12),
  start: yup.string().oneOf(['playToStart', 'countIn']).required(),
  items: yup.array(noteSchema).required().min(1).max(200),
});

/** Checks a value from outside and returns it as an exercise. Throws `exercise-invalid` naming the place. */
export function parseExercise(value: unknown): Exercise {
  try {
    return exerciseSchema.validateSync(value, { strict: true }) as Exercise;
  } catch (error) {
    throw new CoreError('exercise-invalid', error instanceof Error ? error.message : String(error));
  }
}
