import type { Register } from '../horn/index.ts';
import { registerOf } from '../horn/index.ts';
import { markFraction } from './dynamics.ts';
import type { Exercise, NoteItem, Phrase } from './exercise.ts';
import { phraseBeats, playedPhrases, playingSeconds } from './score.ts';
import { secondsPerBeat } from './target.ts';

/** What an exercise takes: time, range and breath. */
export interface Extent {
  /** From the first beat to the last, rests between phrases included; open notes at their longest. */
  seconds: number;
  /** Of that, how long the player plays. */
  playedSeconds: number;
  /** Lowest and highest written note that is played; null where none is. */
  lowest: number | null;
  highest: number | null;
  registers: Register[];
  /** Longest phrase that is one breath; null where breaths are free. */
  breathSeconds: number | null;
  /** 0 ppp - 1 fff; null without notes. */
  loudest: number | null;
}

/** Every note of an exercise, once. */
export function allNotes({ phrases }: Pick<Exercise, 'phrases'>): NoteItem[] {
  return phrases.flatMap(({ items }) => items.filter((item): item is NoteItem => item.kind === 'note'));
}

/** What an exercise takes, counted from what is written. */
export function extentOf(exercise: Exercise): Extent {
  const beat = secondsPerBeat(exercise);
  const notes = allNotes(exercise);
  const pitches = exercise.phrases
    .flatMap(({ items }) => items)
    .flatMap((item) => (item.kind === 'note' || item.kind === 'air' ? [item.writtenMidi] : []));
  const breaths = exercise.phrases.filter(({ breath }) => breath === 'one').map(phraseBeats);
  const isShared = ({ forSeconds }: Phrase) => forSeconds !== undefined;
  const shared = exercise.phrases.filter(isShared);
  const whole = exercise.phrases.filter((phrase) => !isShared(phrase));
  const played = playedPhrases({ ...exercise, phrases: whole })
    .flatMap(({ items }) => items)
    .filter(({ kind }) => kind !== 'rest' && kind !== 'hear' && kind !== 'imagine')
    .reduce((sum, { lengthBeats: each }) => sum + each, 0);
  // Of repeats that go on for a time half is rest.
  const sharedSeconds = shared.reduce((sum, { forSeconds = 0 }) => sum + forSeconds / 2, 0);
  return {
    seconds: playingSeconds(exercise),
    playedSeconds: played * beat + sharedSeconds,
    lowest: pitches.length === 0 ? null : Math.min(...pitches),
    highest: pitches.length === 0 ? null : Math.max(...pitches),
    registers: (['low', 'middle', 'high', 'palm'] as const).filter((register) =>
      pitches.some((midi) => registerOf(midi) === register),
    ),
    breathSeconds: breaths.length === 0 ? null : Math.max(...breaths) * beat,
    loudest:
      notes.length === 0
        ? null
        : Math.max(...notes.flatMap(({ dynamics }) => dynamics.map(({ mark }) => markFraction(mark)))),
  };
}
