import {
  levelAtFraction,
  secondsPerBeat as beatSeconds,
  shapeOf,
  targetFraction,
  writtenTurnBeat,
  type DynamicScale,
  type Exercise,
  type NoteItem,
} from '../exercise/index.ts';
import { FRAME_SECONDS, type ForeignSpan, type FrameTrack } from '../hearing/index.ts';
import { frequencyHz, hornById, regularTube, toSounding, type HornId } from '../horn/index.ts';
import { dropOuts, findToneSpan, roomAirDb } from '../tone/index.ts';
import { measureHold } from './hold.ts';
import { levelCurve } from './levelCurve.ts';
import type { SwellMeasures } from './measures.ts';
import { measureNote } from './noteMeasures.ts';
import { readNote, type PitchTarget } from './noteTrack.ts';
import { findStairs, peakOffsetBeats, swellError, wrongWayPercent, type Stair } from './swellMeasures.ts';
import { responseMs } from './response.ts';
import { readHistory, type TakeEvent } from './takeEvent.ts';
import { TOLERANCES, type ToleranceId } from './tolerances.ts';
import { reachVerdict, type Verdict } from './verdict.ts';

/** Everything a take is judged by, fixed when it was played and kept with it. */
export interface TakeContext {
  exercise: Exercise;
  hornId: HornId;
  a4Hz: number;
  scale: DynamicScale;
  toleranceId: ToleranceId;
  roomFloorDb: number | null;
  /** Beat 0 on the take's clock for a counted take; null where the first tone is beat 0. */
  beatZeroSeconds: number | null;
  /** A drone was heard from the loudspeaker: pitch and onset cannot be told from it. */
  droneSpoils?: boolean;
}

export interface TakeAnalysis {
  beatZeroSeconds: number;
  events: TakeEvent[];
  measures: SwellMeasures;
  verdict: Verdict;
  /** What could not be judged in this take; its measures are null. Absent in takes of before there were drones. */
  notJudged?: ('pitch' | 'onset')[];
}

const NO_ENDS = {
  softEndCents: null,
  loudEndCents: null,
  bendWithLevel: null,
  bendWithLevelR2: null,
  colourShift: null,
} satisfies Partial<SwellMeasures>;

/** What a drone in the sound makes unknowable. */
const NO_PITCH = {
  centsMean: null,
  centsSpread: null,
  driftCentsPerSecond: null,
  ...NO_ENDS,
  vibratoHz: null,
  vibratoCents: null,
  vibratoRegularity: null,
  responseMs: null,
} satisfies Partial<SwellMeasures>;

/** Target of a written note on a horn, by its regular fingering. */
export function pitchTarget(note: Pick<NoteItem, 'writtenMidi'>, hornId: HornId, a4Hz: number): PitchTarget {
  const { tube, partial } = regularTube(note.writtenMidi);
  const horn = hornById(hornId);
  return {
    targetHz: frequencyHz(toSounding(note.writtenMidi, horn), a4Hz),
    tubeHz: frequencyHz(toSounding(tube, horn), a4Hz),
    partial,
  };
}

/**
 * Judges a finished take of one note. `foreign` are the metronome clicks and holes found in its sound: what
 * they touch is not measured. Returns null where no tone was heard.
 */
export function analyseTake(
  track: FrameTrack,
  context: TakeContext,
  foreign: readonly ForeignSpan[],
): TakeAnalysis | null {
  const { exercise, hornId, a4Hz, scale, droneSpoils = false } = context;
  const note = exercise.items[0];
  const span = findToneSpan(track, context.roomFloorDb);
  if (span === null) return null;
  const target = pitchTarget(note, hornId, a4Hz);
  const masked = dropOuts(track.count, foreign);
  const secondsPerBeat = beatSeconds(exercise);
  const history = readHistory(track, span, target, roomAirDb(track), foreign);
  const { onsetSeconds, slips, gaps } = history;
  const beatZeroSeconds = context.beatZeroSeconds ?? onsetSeconds;
  const targetDbAtBeat = (beat: number) => levelAtFraction(targetFraction(note, beat), scale);

  const read = readNote(track, span, target, masked);
  const curve = levelCurve(read, beatZeroSeconds, secondsPerBeat, note.lengthBeats, targetDbAtBeat);
  const shape = shapeOf(note);
  const isSwell = shape !== 'steady';
  const error = swellError(curve);
  const stairs = isSwell ? findStairs(curve) : [];
  const turn = writtenTurnBeat(note);
  const tolerance = TOLERANCES[context.toleranceId];
  const beatAt = (frame: number) => (frame * FRAME_SECONDS - beatZeroSeconds) / secondsPerBeat;
  const hold = measureHold({
    track,
    span,
    target,
    masked,
    isSwell,
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
  const measures: SwellMeasures = {
    ...measureNote(read),
    responseMs: responseMs(track, span, target, history.airOnsetSeconds),
    // A steady tone has no ends to compare.
    ...(!isSwell && NO_ENDS),
    ...(droneSpoils && NO_PITCH),
    swellErrorDb: error?.rmsDb ?? null,
    levelOffsetDb: error?.offsetDb ?? null,
    stairs: {
      count: stairs.length,
      worstDb: stairs.length > 0 ? Math.max(...stairs.map(({ stepDb }) => stepDb)) : null,
    },
    wrongWayPercent: !isSwell ? null : wrongWayPercent(curve, shape),
    peakOffsetBeats: turn === null ? null : peakOffsetBeats(curve, turn),
    holdSeconds: hold.seconds,
    holdBeats: hold.seconds / secondsPerBeat,
    holdCause: hold.cause,
  };
  const events = [
    ...history.events,
    ...(hold.cause === 'completed'
      ? []
      : [
          {
            type: 'degrade' as const,
            timeSeconds: span.first * FRAME_SECONDS + hold.seconds,
            cause: hold.cause,
          },
        ]),
    ...stairs.map((stair) => stairEvent(stair, beatZeroSeconds, secondsPerBeat)),
  ].sort((a, b) => a.timeSeconds - b.timeSeconds);
  return {
    beatZeroSeconds,
    events,
    measures,
    notJudged: droneSpoils ? ['pitch', 'onset'] : [],
    verdict: reachVerdict({
      measures,
      events,
      onsetSeconds,
      shape,
      tolerance,
      writtenSeconds: note.lengthBeats * secondsPerBeat,
    }),
  };
}

function stairEvent({ fromBeat, toBeat, stepDb }: Stair, zero: number, secondsPerBeat: number): TakeEvent {
  return {
    type: 'stair',
    timeSeconds: zero + fromBeat * secondsPerBeat,
    lengthSeconds: (toBeat - fromBeat) * secondsPerBeat,
    stepDb,
  };
}
