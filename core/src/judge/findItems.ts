import { noteTarget, onlyNote, type TimedItem } from '../exercise/index.ts';
import { centsBetween } from '../horn/index.ts';
import { median, percentile } from '../stats/index.ts';
import { findToneSpan, onsetSeconds, partialOf } from '../tone/index.ts';
import { followScore, type Found } from './follow.ts';
import type { Judging } from './judging.ts';

/** Farther from its note a tone is another note, unless it is a partial of the same tube. */
const MOST_BEND_CENTS = 90;

/** A take of one note is one tone, whatever happens in it; anything else is followed. */
export function findItems({ track, context, score }: Judging): (Found | null)[] {
  const { exercise, hornId, a4Hz, roomFloorDb, beatZeroSeconds } = context;
  const note = onlyNote(exercise);
  if (note === null)
    return followScore({ track, score, exercise, hornId, a4Hz, roomFloorDb, beatZeroSeconds });
  const span = findToneSpan(track, roomFloorDb);
  if (span === null) return [null];
  const pitches = track.columns.f0Hz.subarray(span.first, span.last + 1).filter((hz) => !Number.isNaN(hz));
  // Where it is bent, the note is what it is bent from: the highest that is kept.
  const soundingHz = (note.bend ? percentile(Array.from(pitches), 90) : median(pitches)) ?? 0;
  const { targetHz, tubeHz } = noteTarget(exercise, note, hornId, a4Hz);
  const isOther =
    Math.abs(centsBetween(soundingHz, targetHz)) > MOST_BEND_CENTS && partialOf(soundingHz, tubeHz) === null;
  return [{ span, status: isOther ? 'wrongNote' : 'played', soundingHz }];
}

/**
 * Beat 0 on the take's clock, as each phrase of the score has it: where the take was counted, one clock for all; else
 * the first note that was played as written sets the beat of its phrase.
 */
export function beatZeros(
  { track, score, secondsPerBeat, context: { beatZeroSeconds } }: Judging,
  found: readonly (Found | null)[],
): number[] {
  const zeros: number[] = [];
  for (const { phrase } of score) {
    if (phrase < zeros.length) continue;
    const first =
      firstOf(({ status }, index) => status === 'played' && score[index].item.kind === 'note') ??
      firstOf(() => true);
    const own =
      first && onsetSeconds(track, first.span.first) - score[first.index].startBeat * secondsPerBeat;
    zeros.push(beatZeroSeconds ?? own ?? zeros.at(-1) ?? 0);

    function firstOf(test: (item: Found, index: number) => boolean) {
      const index = found.findIndex(
        (item, i) => score[i].phrase === phrase && item !== null && test(item, i),
      );
      const item = found[index];
      return item ? { index, span: item.span } : null;
    }
  }
  return zeros;
}

/** Slurred as it is written: out of a note before it that was played. */
export function isSlurredTo(
  score: readonly TimedItem[],
  found: readonly (Found | null)[],
  index: number,
): boolean {
  const { item, phrase } = score[index];
  return (
    item.kind === 'note' &&
    item.attack === 'slurred' &&
    index > 0 &&
    score[index - 1].phrase === phrase &&
    found[index - 1] !== null
  );
}
