import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { median, percentile } from '../stats/index.ts';
import type { ToneSpan } from './toneSpan.ts';

/** How a tone ended. */
export interface Release {
  timeSeconds: number;
  /** Fell at once, on its pitch; otherwise it sagged. */
  clean: boolean;
  /** Largest distance of the pitch from where it was, until the tone was gone. */
  sagCents: number;
}

const FALL_DB = 15;
const FALL_SECONDS = 0.12;
const SAG_CENTS = 15;
/** The last part of a tone, in which its end is looked for, and the part before it that says where it was. */
const END_FRAMES = Math.round(0.4 / FRAME_SECONDS);
const BEFORE_FRAMES = Math.round(0.2 / FRAME_SECONDS);
const TAIL_FRAMES = Math.round(0.15 / FRAME_SECONDS);
/** Frames whose window is less than half full of tone say too little about its pitch. */
const EMPTY_FRAMES = 2;

/**
 * release: clean where the level falls by 15 dB (by its height over the room - 6 dB, where that is less) within 120 ms
 * plus `roomDecaySeconds`, the time in which the room itself lets a sound sink that far, and the pitch stays within
 * 15 cents until then. Null where the track ends too soon after the tone to tell.
 */
export function measureRelease(
  track: FrameTrack,
  { first, last }: ToneSpan,
  roomDecaySeconds: number,
): Release | null {
  if (track.count - last < TAIL_FRAMES || last - first < BEFORE_FRAMES) return null;
  const { levelDb, f0Hz } = track.columns;
  const reach = Math.round((FALL_SECONDS + roomDecaySeconds) / FRAME_SECONDS);
  const begin = Math.max(first, last - END_FRAMES);
  const level = (from: number, to: number) => median(Array.from(levelDb.subarray(from, to))) ?? 0;
  const room = percentile(Array.from(levelDb.subarray(last + 1, track.count)), 10) ?? -Infinity;
  const wanted = Math.min(FALL_DB, level(Math.max(first, begin - BEFORE_FRAMES), begin + 1) - room - 6);
  // The steepest fall within the allowed time, and where it set in.
  let fallen = -Infinity;
  let start = last;
  for (let i = begin; i <= Math.min(last + EMPTY_FRAMES, track.count - 1); i++) {
    const fall = levelDb[i] - levelDb[Math.min(track.count - 1, i + reach)];
    if (fall <= fallen) continue;
    fallen = fall;
    start = i;
  }
  const cents = (i: number) => {
    const hz = columnValue(f0Hz, i);
    return hz === null ? null : 1200 * Math.log2(hz);
  };
  const span = (from: number, to: number) =>
    Array.from({ length: Math.max(0, to - from) }, (_, i) => cents(from + i)).filter(
      (value) => value !== null,
    );
  const was = median(span(Math.max(first, begin - BEFORE_FRAMES), begin)) ?? 0;
  const sagCents = span(begin, last + 1 - EMPTY_FRAMES).reduce(
    (most, value) => Math.max(most, Math.abs(value - was)),
    0,
  );
  return {
    timeSeconds: start * FRAME_SECONDS,
    clean: fallen >= wanted && sagCents <= SAG_CENTS,
    sagCents,
  };
}
