import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { findStretches } from './notes.ts';

/** A pause this long parts two phrases of a recording. */
const PAUSE_SECONDS = 1.5;
/** What is kept around a phrase, as around a take. */
const BEFORE_SECONDS = 0.6;
const AFTER_SECONDS = 0.5;
/** Less tone than this is a squeak of a chair. */
const LEAST_TONE_SECONDS = 0.4;

/** A phrase of a recording with a little of the room around it, in seconds. */
export interface HeardPhrase {
  fromSeconds: number;
  toSeconds: number;
}

/** The phrases of a recording: tone between pauses of 1.5 s and more. Neighbours never overlap. */
export function phrasesHeard(track: FrameTrack, roomFloorDb: number | null): HeardPhrase[] {
  const seconds = (frames: number) => frames * FRAME_SECONDS;
  const phrases: { first: number; last: number; tone: number }[] = [];
  for (const { first, last } of findStretches(track, roomFloorDb)) {
    const open = phrases.at(-1);
    if (open && seconds(first - open.last - 1) < PAUSE_SECONDS) {
      open.last = last;
      open.tone += last - first + 1;
    } else phrases.push({ first, last, tone: last - first + 1 });
  }
  return phrases
    .filter(({ tone }) => seconds(tone) >= LEAST_TONE_SECONDS)
    .map(({ first, last }) => ({
      fromSeconds: Math.max(0, seconds(first) - BEFORE_SECONDS),
      toSeconds: Math.min(seconds(track.count), seconds(last + 1) + AFTER_SECONDS),
    }));
}
