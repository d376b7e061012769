import { secondsPerBeat, wantedAtSeconds } from '@inner-hum/core/exercise';
import { FrameTrack, type FrameColumns } from '@inner-hum/core/hearing';
import { pitchTarget } from '@inner-hum/core/judge';
import { InkTrack } from '../../ribbon/index.ts';
import type { TakeRecord } from '../../storage/index.ts';

export interface TakeDrawing {
  ink: InkTrack;
  track: FrameTrack;
  /** The part worth showing, on the take's clock. */
  fromSeconds: number;
  toSeconds: number;
  partial: number | null;
  targetHz: number | null;
}

const MARGIN_SECONDS = 0.25;

/** A kept take made ready to be drawn against what was written, by the scale it was judged by. */
export function drawTake(take: TakeRecord, columns: FrameColumns): TakeDrawing {
  const track = FrameTrack.from(columns);
  const { context, analysis } = take;
  if (!context || !analysis) {
    const ink = new InkTrack({ scale: take.scale, a4Hz: take.a4Hz, note: null, wantedAt: () => null });
    ink.follow(track);
    return { ink, track, fromSeconds: 0, toSeconds: take.lengthSeconds, partial: null, targetHz: null };
  }
  const note = context.exercise.items[0];
  const target = pitchTarget(note, context.hornId, context.a4Hz);
  const zero = analysis.beatZeroSeconds;
  const length = note.lengthBeats * secondsPerBeat(context.exercise);
  const ink = new InkTrack({
    scale: context.scale,
    a4Hz: context.a4Hz,
    note: target,
    wantedAt: (seconds) => wantedAtSeconds(context.exercise, seconds - zero),
  });
  ink.follow(track);
  const onset = analysis.events.find(({ type }) => type === 'toneOnset')?.timeSeconds ?? zero;
  const end = analysis.events.find(({ type }) => type === 'end')?.timeSeconds ?? take.lengthSeconds;
  return {
    ink,
    track,
    fromSeconds: Math.max(0, Math.min(zero, onset) - MARGIN_SECONDS),
    toSeconds: Math.max(zero + length, end) + MARGIN_SECONDS,
    partial: target.partial,
    targetHz: target.targetHz,
  };
}
