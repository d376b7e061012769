import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import type { PitchTarget } from '../horn/index.ts';
import { MIN_TONE_FRAMES, onsetSeconds, partialOf, type ToneSpan } from '../tone/index.ts';
import type { NoteStart } from './measures.ts';

/**
 * responseMs: from the onset of the air to the onset of the tone on the right partial, which must stay for 50 ms. Null
 * where no air goes before (`airSeconds` null) or the right partial never spoke.
 */
function responseMs(
  track: FrameTrack,
  span: ToneSpan,
  target: PitchTarget,
  airSeconds: number | null,
): number | null {
  if (airSeconds === null) return null;
  let run = 0;
  for (let i = span.first; i <= span.last; i++) {
    const hz = columnValue(track.columns.f0Hz, i);
    run = hz !== null && partialOf(hz, target.tubeHz) === target.partial ? run + 1 : 0;
    if (run < MIN_TONE_FRAMES) continue;
    const first = i - run + 1;
    const spoke = first === span.first ? onsetSeconds(track, first) : first * FRAME_SECONDS;
    return 1000 * (spoke - airSeconds);
  }
  return null;
}

/** How a note that was begun anew began; `airSeconds`: when its air was first heard, null where none went before. */
export const measureStart = (
  track: FrameTrack,
  span: ToneSpan,
  target: PitchTarget,
  airSeconds: number | null,
): NoteStart => ({ responseMs: responseMs(track, span, target, airSeconds) });
