import { FRAME_SECONDS } from '../hearing/index.ts';
import type { Gap, Slip, ToneSpan } from '../tone/index.ts';

/** What happened, on the take's clock, in order of time. */
export type TakeEvent =
  | { type: 'toneOnset'; timeSeconds: number }
  | { type: 'jump' | 'crack'; timeSeconds: number; lengthSeconds: number; from: number; to: number }
  | { type: 'gap'; timeSeconds: number; lengthSeconds: number }
  | { type: 'stair'; timeSeconds: number; lengthSeconds: number; stepDb: number }
  | { type: 'end'; timeSeconds: number };

/** What any tone tells: its onset, its slips and gaps, its end; not in order. */
export function toneEvents(span: ToneSpan, slips: readonly Slip[], gaps: readonly Gap[]): TakeEvent[] {
  return [
    { type: 'toneOnset', timeSeconds: span.first * FRAME_SECONDS },
    ...slips,
    ...gaps.map((gap) => ({ type: 'gap' as const, ...gap })),
    { type: 'end', timeSeconds: span.last * FRAME_SECONDS },
  ];
}
