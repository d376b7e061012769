import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { partialOf } from './partial.ts';
import type { ToneSpan } from './toneSpan.ts';

/**
 * The tone leaves its partial: for another one of the same tube - a jump from 150 ms on, a crack from 30 ms - or for a
 * pitch that is none of them, a squeak.
 */
export type Slip =
  | { type: 'jump' | 'crack'; timeSeconds: number; lengthSeconds: number; from: number; to: number }
  | { type: 'squeak'; timeSeconds: number; lengthSeconds: number; soundingHz: number };

const CRACK_FRAMES = Math.round(0.03 / FRAME_SECONDS);
const JUMP_FRAMES = Math.round(0.15 / FRAME_SECONDS);
const LEAST_SQUEAK_FRAMES = Math.round(0.02 / FRAME_SECONDS);
const MOST_SQUEAK_FRAMES = Math.round(0.3 / FRAME_SECONDS);
/** A squeak breaks out; what glides there is a bend. */
const BREAK_CENTS = 100;
/** Beside a jump, a frame or two between both pitches are the change itself. */
const CHANGE_FRAMES = 2;

/** Another partial, a pitch that is none (its Hz below 0), or the right one: null. */
type Stray = number | null;

/**
 * Slips within a tone, in order. `partial` is the one that should sound on the tube at `tubeHz`; frames that are 1 in
 * `masked` say nothing.
 */
export function findSlips(
  track: FrameTrack,
  span: ToneSpan,
  tubeHz: number,
  partial: number,
  masked: Uint8Array,
): Slip[] {
  const { f0Hz } = track.columns;
  const strayAt = (i: number): Stray => {
    const hz = columnValue(f0Hz, i);
    if (hz === null) return null;
    const heard = partialOf(hz, tubeHz);
    return heard === partial ? null : (heard ?? -1);
  };
  const slips: Slip[] = [];
  let stray: Stray = null;
  let start = 0;
  const close = (end: number, next: Stray) => {
    const frames = end - start;
    const timeSeconds = start * FRAME_SECONDS;
    const lengthSeconds = frames * FRAME_SECONDS;
    if (stray !== null && stray > 0 && frames >= CRACK_FRAMES)
      slips.push({
        type: frames >= JUMP_FRAMES ? 'jump' : 'crack',
        timeSeconds,
        lengthSeconds,
        from: partial,
        to: stray,
      });
    if (stray === -1 && isSqueak(track, start, end) && (next === null || frames > CHANGE_FRAMES))
      slips.push({
        type: 'squeak',
        timeSeconds,
        lengthSeconds,
        soundingHz: f0Hz[start + (frames >> 1)],
      });
    stray = null;
  };
  for (let i = span.first; i <= span.last; i++) {
    if (masked[i] === 1) continue;
    const here = strayAt(i);
    if (here === stray) continue;
    close(i, here);
    if (here !== null) {
      stray = here;
      start = i;
    }
  }
  close(span.last + 1, null);
  return slips;
}

function isSqueak({ columns: { f0Hz } }: FrameTrack, start: number, end: number): boolean {
  const frames = end - start;
  if (frames < LEAST_SQUEAK_FRAMES || frames > MOST_SQUEAK_FRAMES) return false;
  const before = columnValue(f0Hz, start - 1);
  return before === null || Math.abs(1200 * Math.log2(f0Hz[start] / before)) >= BREAK_CENTS;
}
