import {
  familyOf,
  secondsPerBeat,
  skillOf,
  type Exercise,
  type HeadlineId,
  type NoteItem,
} from '../exercise/index.ts';
import type { Horn } from '../horn/index.ts';
import type { Advice } from './advice.ts';

/** Longer than this two beats more are past one breath. */
const BREATH_SECONDS = 16;
/** Two beats fewer than this leave nothing to fill. */
const LEAST_BEATS = 4;

/** Where something is advised: the drill, the note it is said of (null: of the whole), and the horn. */
export interface AdvicePlace {
  exercise: Pick<Exercise, 'family' | 'tempoBpm' | 'phrases'>;
  note: Pick<NoteItem, 'writtenMidi' | 'lengthBeats'> | null;
  horn: Pick<Horn, 'lowest'>;
}

/** Softer is worth a try where a tone or a line is asked for; it answers no question about an ear, a pair of sounds or a comparison. */
const SOFTENED: readonly HeadlineId[] = ['line', 'steady', 'hold', 'swell', 'swells'];
const canSoften = (exercise: Pick<Exercise, 'family'>) =>
  SOFTENED.includes(familyOf(exercise)?.headline ?? 'line');

/** The one thing to try, as it can be tried there: no note under the lowest one, nothing past one breath, no softer overtone or air. */
export function adviceInPlace(advice: Advice, { exercise, note, horn }: AdvicePlace): Advice {
  const skill = skillOf(exercise.family);
  const isVoiced = skill === 'overtone' || skill === 'voicing' || skill === 'subtone';
  const hasAir = exercise.phrases.some(({ items }) => items.some(({ kind }) => kind === 'air'));
  switch (advice) {
    case 'addABeat': {
      const isAlone = exercise.phrases.length === 1 && exercise.phrases[0].items.length === 1;
      if (!isAlone || !note) return 'onceMore';
      const hasBreath = (note.lengthBeats + 2) * secondsPerBeat(exercise) <= BREATH_SECONDS;
      const canGoDown = note.writtenMidi > horn.lowest;
      if (hasBreath && canGoDown) return 'addABeat';
      return hasBreath ? 'addTwoBeats' : canGoDown ? 'nextNoteDown' : 'onceMore';
    }
    case 'moveOn':
      return isVoiced || hasAir || !canSoften(exercise) ? 'goOn' : 'moveOn';
    case 'startOnTheNote':
      return isVoiced ? 'voiceFirst' : advice;
    case 'softestThatSpeaks':
      return hasAir ? 'airFirst' : isVoiced ? 'voiceFirst' : advice;
    case 'shorterFirst':
      return note && note.lengthBeats < LEAST_BEATS ? 'fillTheNote' : advice;
    default:
      return advice;
  }
}
