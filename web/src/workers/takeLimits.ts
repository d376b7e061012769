import {
  isOpenEnded,
  lengthBeats,
  noteTarget,
  scoreOf,
  secondsPerBeat,
  writtenNotes,
  type Exercise,
} from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';
import { createLiveFollower, type LiveFollower, type TakeGateConfig } from '@inner-hum/core/tone';

/** Sound before the first tone that belongs to the take: the air that made it. */
const PRE_ROLL_SECONDS = 0.6;
const SILENCE_SECONDS = 1.2;
/** Nobody waits longer for a player who has given up in the middle. */
const LONGEST_SILENCE_SECONDS = 12;
/** A take may run this much over its written length before it ends by itself. */
const OVERTIME_SECONDS = 20;
/** A counted take in which no tone came ends this long after what is written. */
const PATIENCE_SECONDS = 2;
/** In one's own time the middle of a phrase may be silent for so long: a gap, a breath, a thought. */
const OWN_TIME_SILENCE_SECONDS = 4;
const OWN_TIME_MOST_SECONDS = 300;
/** How near a live note must come does not matter for where the player is. */
const CLEAR_CENTS = 10;
const PARTIALS_THAT_START = [1, 2, 3, 4];

export interface TakeLimits extends Pick<
  TakeGateConfig,
  'startHz' | 'silenceSeconds' | 'maxSeconds' | 'patienceSeconds'
> {
  /** Sound that belongs to a take before its first note, and that note's place after beat 0. */
  preRollSeconds: number;
  /** In the player's own time: where the player is. It must be shown every frame of the take. */
  follower: LiveFollower | null;
  firstNoteSeconds: number;
}

/** Where a take of this exercise begins and ends: its first note, its longest silence, its length. */
export function takeLimits(exercise: Exercise, hornId: HornId, a4Hz: number): TakeLimits {
  const written = lengthBeats(exercise) * secondsPerBeat(exercise);
  const notes = writtenNotes(exercise, hornId, a4Hz);
  const first = notes.at(0);
  const firstNoteSeconds = first?.fromSeconds ?? 0;
  // One note may be missed: then the silence lasts from the one before to the one after.
  const longest =
    notes.length < 2
      ? 0
      : Math.max(...notes.slice(1).map(({ toSeconds }, i) => toSeconds - notes[i].toSeconds));
  const inside = Math.min(LONGEST_SILENCE_SECONDS, longest + SILENCE_SECONDS);
  const last = notes.at(-1)?.toSeconds ?? written;
  const isOwnTime = exercise.start === 'ownTime';
  const follower = isOwnTime && notes.length > 0 ? createLiveFollower(notes, CLEAR_CENTS) : null;
  const score = scoreOf(exercise);
  const noteItems = [...score.keys()].filter((i) => score[i].item.kind === 'note');
  /** What is heard, hummed or imagined before the next note takes as long as the player needs. */
  const isThoughtAfter = (index: number) =>
    score
      .slice(noteItems[index], noteItems.at(index + 1))
      .some(({ item: { kind } }) => kind === 'imagine' || kind === 'hear' || kind === 'hum');
  return {
    startHz: first ? startsOf(exercise, hornId, a4Hz) : [],
    // Air that is written after the last note belongs to the take.
    silenceSeconds: (seconds) =>
      follower
        ? follower.place.isLast || isOpenEnded(exercise)
          ? SILENCE_SECONDS
          : isThoughtAfter(follower.place.index)
            ? LONGEST_SILENCE_SECONDS
            : OWN_TIME_SILENCE_SECONDS
        : seconds < last
          ? Math.max(SILENCE_SECONDS, inside)
          : SILENCE_SECONDS + Math.max(0, written - last),
    maxSeconds: isOwnTime ? OWN_TIME_MOST_SECONDS : written + OVERTIME_SECONDS,
    follower,
    patienceSeconds: written + PATIENCE_SECONDS,
    preRollSeconds: firstNoteSeconds + PRE_ROLL_SECONDS,
    firstNoteSeconds,
  };
}

/** The note that starts a take, and what its tube may give instead. */
function startsOf(exercise: Exercise, hornId: HornId, a4Hz: number): number[] {
  const note = scoreOf(exercise).find(({ item }) => item.kind === 'note')?.item;
  if (note?.kind !== 'note') return [];
  const { targetHz, tubeHz } = noteTarget(exercise, note, hornId, a4Hz);
  return [targetHz, ...PARTIALS_THAT_START.map((partial) => partial * tubeHz)];
}
