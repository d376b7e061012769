import { lengthBeats, noteTarget, onlyNote, secondsPerBeat } from '@inner-hum/core/exercise';
import { FRAME_SECONDS, FrameTrack, type FrameColumns } from '@inner-hum/core/hearing';
import type { PitchTarget } from '@inner-hum/core/horn';
import { playedExercise } from '@inner-hum/core/judge';
import { InkTrack, writtenInk } from '../ribbon/index.ts';
import type { TakeRecord } from '../storage/index.ts';

export interface TakeDrawing {
  ink: InkTrack;
  track: FrameTrack;
  /** The part worth showing, on the take's clock. */
  fromSeconds: number;
  toSeconds: number;
  /** What a take of one note was aimed at. */
  target: PitchTarget | null;
}

const MARGIN_SECONDS = 0.25;

/** A kept take made ready to be drawn against what was written, by the scale it was judged by. */
export function drawTake(take: TakeRecord, columns: FrameColumns): TakeDrawing {
  const track = FrameTrack.from(columns);
  const { context, analysis } = take;
  if (!context || !analysis) {
    const ink = new InkTrack({ scale: take.scale, a4Hz: take.a4Hz, notes: null, wantedAt: () => null });
    ink.follow(track);
    // What somebody else played is shown from its first sound on, so that it can be laid over a take.
    const first = take.kind === 'other' ? track.columns.f0Hz.findIndex((hz) => !Number.isNaN(hz)) : 0;
    const fromSeconds = Math.max(0, first * FRAME_SECONDS);
    return { ink, track, fromSeconds, toSeconds: take.lengthSeconds, target: null };
  }
  const zero = analysis.beatZeroSeconds;
  const exercise = playedExercise(context.exercise, analysis);
  const setting = writtenInk({ ...context, exercise }, zero);
  // Each note where it was found, not where it was due.
  const notes = analysis.items.flatMap((item) => (item.kind === 'note' ? [item] : []));
  const ink = new InkTrack({
    ...setting,
    notes: (setting.notes ?? []).map((note, i) => ({
      ...note,
      fromSeconds: notes.at(i)?.startSeconds ?? note.fromSeconds,
      toSeconds: notes.at(i)?.endSeconds ?? note.toSeconds,
    })),
  });
  ink.follow(track);
  const length = lengthBeats(exercise) * secondsPerBeat(exercise);
  const onset = analysis.events.find(({ type }) => type === 'toneOnset')?.timeSeconds ?? zero;
  const end = analysis.events.findLast(({ type }) => type === 'end')?.timeSeconds ?? take.lengthSeconds;
  const only = onlyNote(context.exercise);
  return {
    ink,
    track,
    fromSeconds: Math.max(0, Math.min(zero, onset) - MARGIN_SECONDS),
    toSeconds: Math.max(zero + length, end) + MARGIN_SECONDS,
    target: only && noteTarget(context.exercise, only, context.hornId, context.a4Hz),
  };
}
