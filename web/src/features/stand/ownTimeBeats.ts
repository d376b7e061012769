import { secondsPerBeat, type Exercise, type TimedItem } from '@inner-hum/core/exercise';
import { FRAME_SECONDS } from '@inner-hum/core/hearing';
import type { LivePlace } from '@inner-hum/core/tone';

/** Nothing on the page is shorter. */
const LEAST_BEATS = 0.1;
/** What is written of the present note goes on so far beyond where it is now. */
const AHEAD_BEATS = 0.5;

/**
 * How long each item of a score is on a page that is played in the player's own time, in beats: what is over as it was played, the present
 * note at least as long as it has been held, what is to come as it is written. `nowSeconds` counts from beat 0, `zeroSeconds` is beat 0 on
 * the clock of the frames.
 */
export function ownTimeBeats(
  exercise: Exercise,
  score: readonly TimedItem[],
  { began }: Pick<LivePlace, 'began'>,
  zeroSeconds: number,
  nowSeconds: number,
): number[] {
  const perBeat = secondsPerBeat(exercise);
  const beats = score.map(({ item }) => item.lengthBeats);
  const notes = score.flatMap(({ item }, index) => (item.kind === 'note' ? [index] : []));
  const starts = began.flatMap((frame, note) =>
    frame === null ? [] : [{ index: notes[note], beat: (frame * FRAME_SECONDS - zeroSeconds) / perBeat }],
  );
  starts.forEach(({ index, beat }, i) => {
    const next = starts.at(i + 1);
    if (!next) {
      beats[index] = Math.max(beats[index], nowSeconds / perBeat - beat + AHEAD_BEATS);
      return;
    }
    const between = beats.slice(index + 1, next.index);
    const whole = next.beat - beat;
    // A note that was left out takes no room; a rest keeps what is written of it where there is room.
    const rests = between.map((each, k) => (score[index + 1 + k].item.kind === 'note' ? LEAST_BEATS : each));
    const wanted = rests.reduce((sum, each) => sum + each, 0);
    const share = wanted > 0 ? Math.min(1, Math.max(0, whole - LEAST_BEATS) / wanted) : 1;
    rests.forEach((each, k) => (beats[index + 1 + k] = Math.max(LEAST_BEATS, each * share)));
    const rest = beats.slice(index + 1, next.index).reduce((sum, each) => sum + each, 0);
    beats[index] = Math.max(LEAST_BEATS, whole - rest);
  });
  return beats;
}
