import {
  levelAtFraction,
  noteTarget,
  shapeOf,
  targetFraction,
  type NoteItem,
  type TimedItem,
} from '../exercise/index.ts';
import { FRAME_SECONDS } from '../hearing/index.ts';
import type { PitchTarget } from '../horn/index.ts';
import type { Gap, ToneSpan } from '../tone/index.ts';
import { measureHold, type Hold } from './hold.ts';
import type { JudgeContext } from './judgeContext.ts';
import { levelCurve, type LevelCurve } from './levelCurve.ts';
import { readNote, type NoteTrack } from './noteTrack.ts';
import { swellError } from './swellMeasures.ts';
import { readHistory, type ToneHistory } from './takeEvent.ts';

/** Nobody breathes faster. */
const BREATH_GAP_SECONDS = 0.2;
const HOLE_EDGE_SECONDS = 0.1;

/** One note laid against what was written, before anything is measured of it. */
export interface AlignedNote {
  target: PitchTarget;
  history: ToneHistory;
  /** Gaps in which the tone was gone for long. */
  holes: Gap[];
  read: NoteTrack;
  curve: LevelCurve;
  /** Its beat 0 on the take's clock. */
  zero: number;
  error: ReturnType<typeof swellError>;
  hold: Hold;
}

/** Lays the tone in a span against its written note. `zero` is beat 0 of the exercise, null where this note sets it. */
export function alignNote(
  judging: JudgeContext,
  { item: note, startBeat }: TimedItem<NoteItem>,
  span: ToneSpan,
  zero: number | null,
  isSlurred: boolean,
): AlignedNote {
  const { track, context, foreign, masked, secondsPerBeat, tolerance, roomAir, roomDecayDbPerSecond } =
    judging;
  const { hornId, a4Hz, scale, droneSpoils = false, exercise } = context;
  const target = noteTarget(exercise, note, hornId, a4Hz);
  const heard = readHistory(track, span, target, roomAir, foreign, roomDecayDbPerSecond);
  const history = note.bend ? withoutSlips(heard) : heard;
  const { onsetSeconds, slips, gaps } = history;
  const noteZero = zero === null ? onsetSeconds : zero + startBeat * secondsPerBeat;
  const targetDbAtBeat = (beat: number) => levelAtFraction(targetFraction(note, beat), scale);
  const holes = gaps.filter(({ lengthSeconds }) => lengthSeconds >= BREATH_GAP_SECONDS);
  const read = readNote(track, span, target, withHoles(masked, holes), isSlurred);
  const curve = levelCurve(read, noteZero, secondsPerBeat, note.lengthBeats, targetDbAtBeat);
  const error = swellError(curve);
  const beatAt = (frame: number) => (frame * FRAME_SECONDS - noteZero) / secondsPerBeat;
  const hold = measureHold({
    track,
    span,
    target,
    masked,
    // What is bent is not held by its pitch.
    isSwell: shapeOf(note) !== 'steady' || note.bend !== undefined,
    pitchBandCents: droneSpoils ? Infinity : tolerance.pitchCents,
    levelBandDb: tolerance.swellErrorDb,
    slips,
    gaps,
    wantedDbAt(frame) {
      const beat = beatAt(frame);
      const within = beat >= 0 && beat <= note.lengthBeats && error !== null;
      // The attack and the release are no level one could be wrong by.
      const inside = frame - span.first > 15 && span.last - frame > 15;
      return within && inside ? targetDbAtBeat(beat) + error.offsetDb : null;
    },
  });
  return { target, history, holes, read, curve, zero: noteZero, error, hold };
}

/** On its way down a bent note passes what would be a slip of a held one. */
function withoutSlips(history: ToneHistory): ToneHistory {
  const { slips, events } = history;
  return { ...history, slips: [], events: events.filter((event) => !slips.some((slip) => slip === event)) };
}

/** Where the tone was gone for long there is no note to measure. */
function withHoles(masked: Uint8Array, holes: readonly Gap[]): Uint8Array {
  const holed = masked.slice();
  for (const { timeSeconds, lengthSeconds } of holes)
    holed.fill(
      1,
      Math.floor((timeSeconds - HOLE_EDGE_SECONDS) / FRAME_SECONDS),
      Math.ceil((timeSeconds + lengthSeconds + HOLE_EDGE_SECONDS) / FRAME_SECONDS),
    );
  return holed;
}
