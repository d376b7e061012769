import { FRAME_SECONDS } from '../hearing/index.ts';
import { onsetSeconds } from '../tone/index.ts';
import { isSlurredTo } from './findItems.ts';
import type { Found } from './follow.ts';
import type { JudgeContext } from './judgeContext.ts';

/**
 * Beat 0 on the take's clock as each item of the score is held against it. A change that comes late is late once: what follows it without
 * a rest is held against where the player then is, until a note falls on its own beat again. `zeros`: beat 0 of each phrase.
 */
export function beatPlaces(
  { track, score, secondsPerBeat, tolerance, context: { exercise } }: JudgeContext,
  found: readonly (Found | null)[],
  zeros: readonly number[],
): number[] {
  if (exercise.start === 'ownTime') return score.map(({ phrase }) => zeros[phrase]);
  const band = tolerance.onsetMs / 1000;
  let late = 0;
  return score.map(({ item, phrase, startBeat }, index) => {
    const before = score.at(index - 1);
    // A rest brings everybody back to the beat.
    if (index === 0 || before?.phrase !== phrase || before.item.kind !== 'note') late = 0;
    const here = found[index];
    const zero = zeros[phrase];
    if (item.kind !== 'note' || here?.status !== 'played') return zero + late;
    const begins = isSlurredTo(score, found, index)
      ? here.span.first * FRAME_SECONDS
      : onsetSeconds(track, here.span.first);
    const off = begins - (zero + startBeat * secondsPerBeat);
    if (Math.abs(off) <= band) late = 0;
    const place = zero + late;
    if (Math.abs(off - late) > band) late = off;
    return place;
  });
}
