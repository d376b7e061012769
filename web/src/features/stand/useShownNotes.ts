import {
  notesOf,
  scoreOf,
  secondsPerBeat,
  type Exercise,
  type ExerciseItem,
  type NoteItem,
} from '@inner-hum/core/exercise';
import { useEffect, useMemo, useState } from 'react';
import { useSession, type SessionPhase } from '../../session/index.ts';

/** The next note is the one to think of this long before it comes. */
const AHEAD_SECONDS = 0.25;
const EVERY_MS = 60;

export interface ShownNotes {
  /** What is to be done now. */
  doing: ExerciseItem;
  /** The note to play, or to get ready for, and the one after it. */
  now: NoteItem;
  next: NoteItem | null;
}

/** What to play now and next, by the clock of the running take. */
export function useShownNotes(exercise: Exercise, phase: SessionPhase): ShownNotes {
  const { live, desk } = useSession();
  const score = useMemo(() => scoreOf(exercise), [exercise]);
  const [index, setIndex] = useState(0);
  useEffect(() => {
    if (phase !== 'playing' || score.length < 2) {
      setIndex(0);
      return undefined;
    }
    const beat = secondsPerBeat(exercise);
    const timer = setInterval(() => {
      const seconds = desk.now() - live.startSeconds - (live.beatZeroSeconds ?? 0) + AHEAD_SECONDS;
      const here = score.findIndex(({ endBeat }) => seconds < endBeat * beat);
      setIndex(here < 0 ? score.length - 1 : here);
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [phase, score, exercise, live, desk]);
  const shown = Math.min(index, score.length - 1);
  const notes = notesOf(score);
  const ahead = notesOf(score.slice(shown));
  const now = (ahead.at(0) ?? notes[notes.length - 1]).item;
  return { doing: score[shown].item, now, next: ahead.at(1)?.item ?? null };
}
