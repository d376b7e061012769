import { notesOf, scoreOf, secondsPerBeat, type Exercise, type NoteItem } from '@inner-hum/core/exercise';
import { useEffect, useMemo, useState } from 'react';
import { useSession, type SessionPhase } from '../../session/index.ts';

/** The next note is the one to think of this long before it comes. */
const AHEAD_SECONDS = 0.25;
const EVERY_MS = 60;

/** The note to play now and the one after it, by the clock of the running take. */
export function useShownNotes(
  exercise: Exercise,
  phase: SessionPhase,
): { now: NoteItem; next: NoteItem | null } {
  const { live, desk } = useSession();
  const notes = useMemo(() => notesOf(scoreOf(exercise)), [exercise]);
  const [index, setIndex] = useState(0);
  useEffect(() => {
    if (phase !== 'playing' || notes.length < 2) {
      setIndex(0);
      return undefined;
    }
    const beat = secondsPerBeat(exercise);
    const timer = setInterval(() => {
      const seconds = desk.now() - live.startSeconds - (live.beatZeroSeconds ?? 0) + AHEAD_SECONDS;
      // In a rest the note that follows is the one to get ready for.
      const here = notes.findIndex(({ endBeat }) => seconds < endBeat * beat);
      setIndex(here < 0 ? notes.length - 1 : here);
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [phase, notes, exercise, live, desk]);
  const shown = Math.min(index, notes.length - 1);
  return { now: notes[shown].item, next: notes.at(shown + 1)?.item ?? null };
}
