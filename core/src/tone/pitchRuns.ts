import { columnValue, FrameTrack } from '../hearing/index.ts';
import { continues, type ToneSpan } from './toneSpan.ts';

/** Stretches of connected pitch, in order, parted also where `kindOf` says another thing of a pitch in Hz, or of its frame. */
export function pitchRuns(
  track: FrameTrack,
  kindOf: (hz: number, frame: number) => unknown = () => true,
): ToneSpan[] {
  const runs: ToneSpan[] = [];
  let kind: unknown = true;
  for (let i = 0; i < track.count; i++) {
    const hz = columnValue(track.columns.f0Hz, i);
    if (hz === null) continue;
    const here = kindOf(hz, i);
    const open = runs.at(-1);
    if (open?.last === i - 1 && here === kind && continues(track, i)) open.last = i;
    else runs.push({ first: i, last: i });
    kind = here;
  }
  return runs;
}

/** A copy of a track in which these frames have no pitch; all else stays as it was heard. */
export function withoutPitch(track: FrameTrack, spans: readonly ToneSpan[]): FrameTrack {
  const columns = track.slice(0);
  for (const { first, last } of spans) {
    columns.f0Hz.fill(NaN, first, last + 1);
    columns.clarity.fill(0, first, last + 1);
  }
  return FrameTrack.from(columns);
}
