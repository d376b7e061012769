import {
  notesOf,
  scoreOf,
  secondsPerBeat,
  type Exercise,
  type ExerciseItem,
  type NoteItem,
} from '@inner-hum/core/exercise';
import { useEffect, useMemo, useState } from 'react';
import { useSession, type VisitPhase } from '../../session/index.ts';

/** The next note is the one to think of this long before it comes. */
const AHEAD_SECONDS = 0.25;
const EVERY_MS = 60;

export interface ShownNotes {
  /** What is to be done now. */
  doing: ExerciseItem;
  /** The note to play, or to get ready for, and the one after it; null where there is none. */
  now: ExerciseItem | null;
  next: NoteItem | null;
  /** The word to think of now. */
  word: string | null;
}

/** What to play now and next, by the clock of the running take. */
export function useShownNotes(exercise: Exercise, phase: VisitPhase): ShownNotes {
  const { live, desk } = useSession();
  const score = useMemo(() => scoreOf(exercise), [exercise]);
  const [index, setIndex] = useState(0);
  const [word, setWord] = useState<string | null>(null);
  useEffect(() => {
    const saysWords = score.some(({ item }) => wordsOf(item).length > 0);
    if (phase !== 'playing' || (score.length < 2 && !saysWords)) {
      setIndex(0);
      setWord(wordsOf(score[0].item).at(0)?.text ?? null);
      return undefined;
    }
    const beat = secondsPerBeat(exercise);
    const noteItems = score.flatMap(({ item }, i) => (item.kind === 'note' ? [i] : []));
    const timer = setInterval(() => {
      const place = live.follower?.place;
      if (place) {
        // Where the player is, and not a clock.
        setIndex(noteItems[place.index]);
        setWord(wordsOf(score[noteItems[place.index]].item).at(0)?.text ?? null);
        return;
      }
      const seconds = desk.now() - live.startSeconds - (live.beatZeroSeconds ?? 0) + AHEAD_SECONDS;
      const here = score.findIndex(({ endBeat }) => seconds < endBeat * beat);
      const at = here < 0 ? score.length - 1 : here;
      setIndex(at);
      const said = wordsOf(score[at].item).findLast(
        (each) => seconds >= (score[at].startBeat + each.beat) * beat,
      );
      setWord(said?.text ?? null);
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [phase, score, exercise, live, desk]);
  const shown = Math.min(index, score.length - 1);
  const notes = notesOf(score);
  const ahead = notesOf(score.slice(shown));
  const doing = score[shown].item;
  const now = doing.kind === 'imagine' ? doing : (ahead.at(0) ?? notes.at(-1) ?? score[shown]).item;
  return { doing, now, next: ahead.at(1)?.item ?? null, word };
}

const wordsOf = (item: ExerciseItem) => ('words' in item && item.words ? item.words : []);
