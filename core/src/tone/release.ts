import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { median, percentile } from '../stats/index.ts';
import type { ToneSpan } from './toneSpan.ts';

/** How a tone ended. */
export interface Release {
  timeSeconds: number;
  /** Fell at once, on its pitch; otherwise it sagged. */
  clean: boolean;
  /** How far the pitch left where it had been (the width of a vibrato), until the tone was gone; null where no pitch was heard before, or the room rings on. */
  sagCents: number | null;
}

const FALL_DB = 15;
const FALL_SECONDS = 0.12;
/** A pitch that stays this near until the end does not sag. */
export const MAX_SAG_CENTS = 15;
/** The last part of a tone, in which its end is looked for, and the part before it that says where it was. */
const END_FRAMES = Math.round(0.4 / FRAME_SECONDS);
const BEFORE_FRAMES = Math.round(0.2 / FRAME_SECONDS);
const REFERENCE_FRAMES = Math.round(0.4 / FRAME_SECONDS);
const SETTLED_FRAMES = Math.round(0.15 / FRAME_SECONDS);
const NEAR_DB = 4;
const FADE_DB = 6;
const SAME_LEVEL_DB = 8;
/** The room is heard within this time after the tone. */
const ROOM_FRAMES = Math.round(1 / FRAME_SECONDS);
const TAIL_FRAMES = Math.round(0.15 / FRAME_SECONDS);
/** Frames whose window is less than half full of tone say too little about its pitch. */
const EMPTY_FRAMES = 2;

/**
 * release: clean where the level falls by 15 dB (by its height over the room - 6 dB, where that is less) within 120 ms
 * plus `roomDecaySeconds`, the time in which the room itself lets a sound sink that far, and the pitch stays within
 * 15 cents until then. Null where the track ends too soon after the tone to tell, or another pitch follows at once (a slur).
 */
export function measureRelease(
  track: FrameTrack,
  { first, last }: ToneSpan,
  roomDecaySeconds: number,
): Release | null {
  if (track.count - last < TAIL_FRAMES || last - first < BEFORE_FRAMES) return null;
  const { levelDb, f0Hz } = track.columns;
  if (goesOn(track, last)) return null;
  const reach = Math.round((FALL_SECONDS + roomDecaySeconds) / FRAME_SECONDS);
  const begin = Math.max(first, last - END_FRAMES);
  const level = (from: number, to: number) => median(levelDb.subarray(from, to)) ?? 0;
  const room =
    percentile(levelDb.subarray(last + 1, Math.min(track.count, last + ROOM_FRAMES)), 10) ?? -Infinity;
  // It sets in where the level was last near what it was just before the end; a written fade moves that little.
  const before = level(Math.max(first, last - REFERENCE_FRAMES), Math.max(first, last - SETTLED_FRAMES) + 1);
  let start = last;
  while (start > begin && levelDb[start] < before - NEAR_DB) start--;
  const wanted = Math.min(FALL_DB, before - room - 6);
  const fallen = before - levelDb[Math.min(track.count - 1, start + reach)];
  const cents = (i: number) => {
    const hz = columnValue(f0Hz, i);
    return hz === null ? null : 1200 * Math.log2(hz);
  };
  const span = (from: number, to: number) =>
    Array.from({ length: Math.max(0, to - from) }, (_, i) => cents(from + i)).filter(
      (value) => value !== null,
    );
  const pitchBefore = span(Math.max(first, begin - BEFORE_FRAMES), begin);
  const was = median(pitchBefore);
  const distance = (values: readonly number[]) =>
    values.reduce((most, value) => Math.max(most, Math.abs(value - (was ?? value))), 0);
  // A vibrato goes on to the end; only what leaves its width sags.
  // Where the room rings on, the pitch of an end is that of its echoes.
  const sagCents =
    was === null || roomDecaySeconds > 0
      ? null
      : Math.max(0, distance(span(begin, last + 1 - EMPTY_FRAMES)) - distance(pitchBefore));
  return {
    timeSeconds: start * FRAME_SECONDS,
    clean: fallen >= wanted && (sagCents ?? 0) <= MAX_SAG_CENTS,
    sagCents,
  };
}

/**
 * How long a tone took to go, ms: from where it last came within 6 dB of its usual level (dBFS) to its end. A room that
 * rings on makes it longer by the time in which it falls to where tones are told from it.
 */
export function fadeMs(
  { columns: { levelDb } }: FrameTrack,
  { first, last }: ToneSpan,
  usualDb: number,
): number {
  let start = last;
  while (start > first && levelDb[start] < usualDb - FADE_DB) start--;
  return 1000 * (last - start) * FRAME_SECONDS;
}

/** Another note follows at once: there is a pitch, as loud as this one was. A room ringing on is softer. */
function goesOn({ columns: { f0Hz, levelDb } }: FrameTrack, last: number): boolean {
  const pitched = f0Hz.subarray(last + 1, last + 9).filter((hz) => !Number.isNaN(hz)).length;
  const after = median(levelDb.subarray(last + 4, last + 9)) ?? -Infinity;
  const before = median(levelDb.subarray(last - SETTLED_FRAMES, last - 4)) ?? -Infinity;
  return pitched >= 4 && after > before - SAME_LEVEL_DB;
}
