import { FRAME_SECONDS, type NonPlayerSpan, type FrameTrack } from '../hearing/index.ts';
import {
  hornById,
  nearestMidi,
  pitchTarget,
  toWritten,
  type HornId,
  type WrittenMidi,
} from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { frameMask, findNotes, findToneSpan, partialsOf, quietestRoom } from '../tone/index.ts';
import type { ToneSpan } from '../tone/index.ts';
import type { NoteMeasures, NoteStart } from './measures.ts';
import { measureNote } from './noteMeasures.ts';
import { joinNotes, readNote } from './noteTrack.ts';
import { measureStart } from './noteStart.ts';
import { readHistory, type TakeEvent } from './takeEvent.ts';

export interface RecordingContext {
  hornId: HornId;
  a4Hz: number;
  /**
   * The written note that was fingered all through the recording, which is then measured as one note with its
   * jumps. Null: whatever is heard is parted into notes, each taken to be fingered regularly.
   */
  fingered: WrittenMidi | null;
}

/** From one note of a line to the next: the evenness of the line. Null for the first. */
export interface NoteSteps {
  stepDb: number | null;
  stepCentroidHarmonics: number | null;
  stepCents: number | null;
}

export interface RecordedNote {
  startSeconds: number;
  endSeconds: number;
  writtenMidi: WrittenMidi;
  /** Median of what sounds; cents are measured from the equal-tempered note. */
  soundingHz: number;
  measures: NoteMeasures & NoteStart & NoteSteps;
}

export interface RecordingAnalysis {
  notes: RecordedNote[];
  events: TakeEvent[];
  /** Over the steady parts of all notes; slopes and ends only where there is a single note. */
  measures: NoteMeasures;
  /** Partial of the fingered tube a frame; null where the fingering is unknown or nothing fits. */
  partials: (number | null)[];
}

/** Reads a recording of which no exercise is known. `foreign` spans are not measured. Empty where no tone is heard. */
export function analyseRecording(
  track: FrameTrack,
  context: RecordingContext,
  foreign: readonly NonPlayerSpan[],
): RecordingAnalysis {
  const { fingered, hornId, a4Hz } = context;
  const whole = fingered === null ? null : findToneSpan(track, null);
  const spans = fingered === null ? findNotes(track, null) : whole ? [whole] : [];
  const masked = frameMask(track.count, foreign);
  const roomAir = quietestRoom(track)?.airDb ?? null;
  const events: TakeEvent[] = [];
  const heard = spans.map((span) => {
    const soundingHz = medianHz(track, span);
    const writtenMidi = fingered ?? toWritten(nearestMidi(soundingHz, a4Hz), hornById(hornId));
    const target = pitchTarget({ writtenMidi }, hornId, a4Hz);
    const history = readHistory(track, span, target, roomAir, foreign, null);
    events.push(...history.events);
    return {
      span,
      soundingHz,
      writtenMidi,
      start: measureStart(track, span, target, history.airOnsetSeconds),
      read: readNote(track, span, target, masked),
    };
  });
  const measured = heard.map(({ read }) => measureNote(read));
  const tubeHz = fingered === null ? null : pitchTarget({ writtenMidi: fingered }, hornId, a4Hz).tubeHz;
  return {
    notes: heard.map(({ span, soundingHz, writtenMidi, start }, i) => ({
      startSeconds: span.first * FRAME_SECONDS,
      endSeconds: span.last * FRAME_SECONDS,
      writtenMidi,
      soundingHz,
      measures: { ...measured[i], ...start, ...stepsBetween(measured[i - 1], measured[i]) },
    })),
    events: events.sort((a, b) => a.timeSeconds - b.timeSeconds),
    measures:
      measured.length === 1
        ? measured[0]
        : measureNote(joinNotes(heard.map(({ read }) => read)), { hasCourse: false }),
    partials:
      tubeHz === null
        ? Array.from({ length: track.count }, () => null)
        : partialsOf(track.columns.f0Hz.subarray(0, track.count), tubeHz),
  };
}

function medianHz(track: FrameTrack, { first, last }: ToneSpan): number {
  const pitches = track.columns.f0Hz.subarray(first, last + 1).filter((value) => !Number.isNaN(value));
  return median(pitches) ?? 0;
}

function stepsBetween(before: NoteMeasures | undefined, here: NoteMeasures): NoteSteps {
  const step = (name: 'levelDb' | 'centroidHarmonics' | 'centsMean') => {
    const from = before?.[name] ?? null;
    const to = here[name];
    return from === null || to === null ? null : to - from;
  };
  return {
    stepDb: step('levelDb'),
    stepCentroidHarmonics: step('centroidHarmonics'),
    stepCents: step('centsMean'),
  };
}
