import { levelAtFraction, secondsPerBeat, targetFraction, writtenTurnBeat } from '../exercise/index.ts';
import type { DynamicScale, Exercise } from '../exercise/index.ts';
import { frequencyHz, hornById, regularTube, toSounding, type HornId } from '../horn/index.ts';
import { playNote, type Performance } from './playNote.ts';
import type { StandInProfile } from './profile.ts';

export interface ExerciseRequest {
  exercise: Exercise;
  hornId: HornId;
  a4Hz: number;
  scale: DynamicScale;
  profile: StandInProfile;
  sampleRateHz: number;
  seed: number;
  leadSeconds: number;
  tailSeconds: number;
}

/** Plays the exercise's note as this profile would, on this horn, by this player's dynamic scale. */
export function playExercise(request: ExerciseRequest): Performance {
  const { exercise, hornId, a4Hz, scale, ...rest } = request;
  const [note] = exercise.items;
  const beatSeconds = secondsPerBeat(exercise);
  return playNote({
    ...rest,
    scale,
    soundingHz: frequencyHz(toSounding(note.writtenMidi, hornById(hornId)), a4Hz),
    partial: regularTube(note.writtenMidi).partial,
    lengthSeconds: note.lengthBeats * beatSeconds,
    secondsPerBeat: beatSeconds,
    levelDbAtBeat: (beat) => levelAtFraction(targetFraction(note, beat), scale),
    turnBeat: writtenTurnBeat(note),
  });
}
