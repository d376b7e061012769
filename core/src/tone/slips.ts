import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { partialOf } from './partial.ts';
import type { ToneSpan } from './toneSpan.ts';

/** The tone on another partial of the same tube: a jump from 150 ms on, a crack from 30 ms. */
export interface Slip {
  type: 'jump' | 'crack';
  timeSeconds: number;
  lengthSeconds: number;
  from: number;
  to: number;
}

const CRACK_FRAMES = Math.round(0.03 / FRAME_SECONDS);
const JUMP_FRAMES = Math.round(0.15 / FRAME_SECONDS);

/** Jumps and cracks within a tone. `partial` is the one that should sound on the tube at `tubeHz`. */
export function findSlips(track: FrameTrack, span: ToneSpan, tubeHz: number, partial: number): Slip[] {
  const slips: Slip[] = [];
  let stray: number | null = null;
  let start = 0;
  const close = (end: number) => {
    const frames = end - start;
    if (stray !== null && frames >= CRACK_FRAMES)
      slips.push({
        type: frames >= JUMP_FRAMES ? 'jump' : 'crack',
        timeSeconds: start * FRAME_SECONDS,
        lengthSeconds: frames * FRAME_SECONDS,
        from: partial,
        to: stray,
      });
    stray = null;
  };
  for (let i = span.first; i <= span.last; i++) {
    const f0Hz = columnValue(track.columns.f0Hz, i);
    const heard = f0Hz === null ? null : partialOf(f0Hz, tubeHz);
    const other = heard === partial ? null : heard;
    if (other === stray) continue;
    close(i);
    if (other !== null) {
      stray = other;
      start = i;
    }
  }
  close(span.last + 1);
  return slips;
}
