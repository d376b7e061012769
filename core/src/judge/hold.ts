import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { median, smoothInto } from '../stats/index.ts';
import { partialOf, type Gap, type Slip, type ToneSpan } from '../tone/index.ts';
import { columnValue } from '../hearing/index.ts';
import { centsBetween, type PitchTarget } from '../horn/index.ts';

/** Why the good tone ended; `completed`: nothing failed before the tone stopped. */
export const HOLD_CAUSES = ['completed', 'pitch', 'level', 'breath', 'partial', 'gap'] as const;
export type HoldCause = (typeof HOLD_CAUSES)[number];

export interface Hold {
  seconds: number;
  cause: HoldCause;
}

const LAST_FRAMES = Math.round(0.3 / FRAME_SECONDS);
const REFERENCE_FROM = Math.round(0.15 / FRAME_SECONDS);
const REFERENCE_TO = Math.round(1.15 / FRAME_SECONDS);
const BREATH_WORSE_DB = 8;
const CALM_FRAMES = Math.round(0.1 / FRAME_SECONDS);

export interface HoldInput {
  track: FrameTrack;
  span: ToneSpan;
  target: PitchTarget;
  masked: Uint8Array;
  isSwell: boolean;
  pitchBandCents: number;
  levelBandDb: number;
  /** Written level at a frame plus the take's own offset; null outside the written length. */
  wantedDbAt(frame: number): number | null;
  slips: readonly Slip[];
  gaps: readonly Gap[];
}

/** First frame from which `bad` lasts for 300 ms, or null. Frames that cannot be told neither count nor break. */
function firstLasting(span: ToneSpan, bad: (frame: number) => boolean | null): number | null {
  let start: number | null = null;
  for (let frame = span.first; frame <= span.last; frame++) {
    const answer = bad(frame);
    if (answer === null) continue;
    if (!answer) start = null;
    else start ??= frame;
    if (start !== null && frame - start + 1 >= LAST_FRAMES) return start;
  }
  return null;
}

/**
 * holdSeconds: from toneOnset to the first degrade, and which. Steady tones fail by pitch (beyond the band
 * from the median of 0.15-1.15 s), level (beyond the band from the written line), breath (8 dB above that
 * median) or another partial, each for 300 ms; swells by another partial, a gap, or level beyond twice the
 * band. A tone that never failed is held to its end: cause `completed`.
 */
export function measureHold(input: HoldInput): Hold {
  const { track, span, target, masked, isSwell, slips, gaps } = input;
  const { columns } = track;
  const cents = (frame: number) => {
    const f0Hz = columnValue(columns.f0Hz, frame);
    return f0Hz === null || partialOf(f0Hz, target.tubeHz) !== target.partial
      ? null
      : centsBetween(f0Hz, target.targetHz);
  };
  const reference = (read: (frame: number) => number | null) => {
    const values: number[] = [];
    for (
      let frame = span.first + REFERENCE_FROM;
      frame <= Math.min(span.last, span.first + REFERENCE_TO);
      frame++
    ) {
      const value = read(frame);
      if (value !== null) values.push(value);
    }
    return median(values);
  };
  // Breath and level flicker frame by frame; what lasts 300 ms is asked of the curve a listener would hear.
  const calm = (column: Float32Array) => {
    const from = Math.max(0, span.first - CALM_FRAMES);
    const near = column.subarray(from, Math.min(track.count, span.last + 1 + CALM_FRAMES));
    const out = new Float64Array(near.length);
    smoothInto(out, near, CALM_FRAMES);
    return (frame: number) => out[frame - from];
  };
  const level = calm(columns.levelDb);
  const breath = calm(columns.noiseToHarmonicDb);
  const breathAt = (frame: number) => (Number.isNaN(breath(frame)) ? null : breath(frame));
  const centsReference = reference(cents);
  const breathReference = reference(breathAt);
  const levelBand = isSwell ? 2 * input.levelBandDb : input.levelBandDb;

  const ends: { frame: number | null; cause: HoldCause }[] = [
    {
      cause: 'level',
      frame: firstLasting(span, (frame) => {
        const wanted = input.wantedDbAt(frame);
        return wanted === null || masked[frame] === 1 ? null : Math.abs(level(frame) - wanted) > levelBand;
      }),
    },
    ...slips
      .filter(({ type }) => type === 'jump')
      .map(({ timeSeconds }) => ({
        cause: 'partial' as const,
        frame: Math.round(timeSeconds / FRAME_SECONDS),
      })),
  ];
  if (isSwell)
    ends.push(
      ...gaps.map(({ timeSeconds }) => ({
        cause: 'gap' as const,
        frame: Math.round(timeSeconds / FRAME_SECONDS),
      })),
    );
  else
    ends.push(
      {
        cause: 'pitch',
        frame: firstLasting(span, (frame) => {
          const here = cents(frame);
          return here === null || centsReference === null
            ? null
            : Math.abs(here - centsReference) > input.pitchBandCents;
        }),
      },
      {
        cause: 'breath',
        frame: firstLasting(span, (frame) => {
          const here = breathAt(frame);
          return here === null || breathReference === null ? null : here > breathReference + BREATH_WORSE_DB;
        }),
      },
    );
  const first = ends.reduce<{ frame: number; cause: HoldCause }>(
    (best, { frame, cause }) => (frame !== null && frame < best.frame ? { frame, cause } : best),
    { frame: span.last + 1, cause: 'completed' },
  );
  return { seconds: (first.frame - span.first) * FRAME_SECONDS, cause: first.cause };
}
