import { exerciseAsPlayed, exerciseUpTo, isOpenEnded, scoreOf, type Exercise } from '../exercise/index.ts';
import { FRAME_SECONDS } from '../hearing/index.ts';
import { onsetSeconds } from '../tone/index.ts';
import type { TakeAnalysis } from './takeAnalysis.ts';
import type { Found } from './follow.ts';
import type { JudgeContext } from './judgeContext.ts';

/** Nothing that is written is shorter than this, also where it was left out. */
const LEAST_SECONDS = 0.05;

/**
 * How long every item of the score was held in the player's own time, in beats: from where it was found to where the next one
 * was, a note before a rest to its own end. What was left out has what room there is between the others.
 */
export function playedBeats(
  { score, track, secondsPerBeat }: JudgeContext,
  found: readonly (Found | null)[],
): number[] {
  const startOf = (index: number): number | null => {
    const here = found[index];
    if (!here) return null;
    const { item } = score[index];
    const isSlurred = item.kind === 'note' && item.attack === 'slurred';
    return isSlurred ? here.span.first * FRAME_SECONDS : onsetSeconds(track, here.span.first);
  };
  const seconds = score.map(({ item }) => item.lengthBeats * secondsPerBeat);
  for (let i = 0; i < score.length; i++) {
    const from = startOf(i);
    const here = found[i];
    if (from === null || !here) continue;
    const end = (here.span.last + 1) * FRAME_SECONDS;
    const next = found.findIndex(
      (other, j) => j > i && other !== null && score[j].phrase === score[i].phrase,
    );
    const to = next < 0 ? null : startOf(next);
    if (to === null) {
      seconds[i] = end - from;
      continue;
    }
    const between = next - i - 1;
    const whole = Math.max((between + 1) * LEAST_SECONDS, to - from);
    seconds[i] =
      between === 0 ? whole : Math.max(LEAST_SECONDS, Math.min(end - from, whole - between * LEAST_SECONDS));
    for (let j = i + 1; j < next; j++) seconds[j] = (whole - seconds[i]) / between;
  }
  return seconds.map((each) => Math.max(LEAST_SECONDS, each) / secondsPerBeat);
}

/** The same take, held against its exercise as it was played. */
export function inOwnTime(judging: JudgeContext, beats: readonly number[]): JudgeContext {
  const exercise = exerciseAsPlayed(judging.context.exercise, beats);
  return { ...judging, context: { ...judging.context, exercise }, score: scoreOf(exercise) };
}

/** What a judged take is to be drawn against: its exercise, in the player's own time stretched to what was played. */
export function playedExercise(
  exercise: Exercise,
  { playedBeats: beats, items }: Pick<TakeAnalysis, 'playedBeats' | 'items'>,
): Exercise {
  const asked = isOpenEnded(exercise) ? exerciseUpTo(exercise, items.length) : exercise;
  return beats ? exerciseAsPlayed(asked, beats) : asked;
}
