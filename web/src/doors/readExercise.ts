import { exerciseAsPlayed, problemsOf, scoreOf, type Exercise } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { exerciseToMidi, exerciseToMusicXml } from '@inner-hum/core/scores';
import { SCORE_WORDS } from '@inner-hum/core/testing';

export const MIDI_CHOICE = { click: true, a4Hz: 440 };

/** All that the rooms ask of an exercise. */
export function readExercise(exercise: Exercise): void {
  problemsOf(exercise, hornById('alto'));
  const beats = scoreOf(exercise).map(({ startBeat, endBeat }) => endBeat - startBeat);
  if (!beats.every((each) => each > 0 && each < 1e6)) throw new Error('an item has no length');
  exerciseAsPlayed(exercise, beats);
  exerciseToMusicXml(exercise, 'alto', SCORE_WORDS);
  exerciseToMidi(exercise, 'alto', MIDI_CHOICE);
}
