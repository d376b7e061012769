import type { Exercise } from '@inner-hum/core/exercise';
import { useState } from 'react';
import { writeOwnExercise, type OwnExercise } from '../../storage/index.ts';

/** Steps back that are kept; a phrase is written in fewer. */
const MOST_STEPS = 200;

interface History {
  past: Exercise[];
  now: Exercise;
  future: Exercise[];
}

export interface Draft {
  exercise: Exercise;
  /** The last change could not be stored: it lasts as long as the page. */
  isUnsaved: boolean;
  canUndo: boolean;
  canRedo: boolean;
  set(exercise: Exercise): void;
  undo(): void;
  redo(): void;
}

/** An own exercise while it is being written: every change is stored at once and can be taken back. */
export function useDraft(own: OwnExercise): Draft {
  const [history, setHistory] = useState<History>({ past: [], now: own.exercise, future: [] });
  const [isUnsaved, setUnsaved] = useState(false);
  const go = (next: History) => {
    setHistory(next);
    writeOwnExercise(own.id, next.now, Date.now()).then(
      () => setUnsaved(false),
      () => setUnsaved(true),
    );
  };
  const { past, now, future } = history;
  const before = past.at(-1);
  const after = future.at(0);
  return {
    exercise: now,
    isUnsaved,
    canUndo: before !== undefined,
    canRedo: after !== undefined,
    set: (exercise) => go({ past: [...past, now].slice(-MOST_STEPS), now: exercise, future: [] }),
    undo: () => before && go({ past: past.slice(0, -1), now: before, future: [now, ...future] }),
    redo: () => after && go({ past: [...past, now], now: after, future: future.slice(1) }),
  };
}
