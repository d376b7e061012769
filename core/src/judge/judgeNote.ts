import { shapeOf, writtenTurnBeat, type NoteItem, type TimedItem } from '../exercise/index.ts';
import { noFigures } from '../figures/index.ts';
import { FRAME_SECONDS } from '../hearing/index.ts';
import { clearSeconds, fadeMs, type ToneSpan } from '../tone/index.ts';
import { measureGapNoise } from './airNoise.ts';
import { isRaised, measureBend } from './bend.ts';
import { centroidSpanHarmonics } from './centroidSpan.ts';
import { evenLevelDb } from './evenLevel.ts';
import { endsOnBeat } from './endsOnBeat.ts';
import { readHairpin, type Hairpin } from './hairpin.ts';
import { heardPartial } from './heardPartial.ts';
import type { JudgeContext } from './judgeContext.ts';
import { measureLanding } from './landing.ts';
import { alignNote } from './alignNote.ts';
import { profileOf } from './match.ts';
import type { ItemMeasures } from './measures.ts';
import { measureNote, NO_ENDS } from './noteMeasures.ts';
import type { NoteTrack } from './noteTrack.ts';
import { measureStart } from './noteStart.ts';
import { wordColours } from './wordColours.ts';
import {
  agreedPeakBeats,
  agreedSteadinessDb,
  agreedWrongWayPercent,
  levelOpinions,
} from './levelOpinions.ts';
import { findStairs, type Stair } from './swellMeasures.ts';
import type { TakeEvent } from './takeEvent.ts';

/** One note as it was played, measured against what was written. */
export interface JudgedNote {
  item: NoteItem;
  span: ToneSpan;
  onsetSeconds: number;
  read: NoteTrack;
  measures: ItemMeasures;
  events: TakeEvent[];
  /** Partial of the fingered tube that sounded for most of it. */
  heardPartial: number | null;
  /** Its hairpin beside its marks; null where none is written, or it cannot be told. */
  hairpin: Hairpin | null;
  /** In a room that rings: a second opinion of its level, by its partials alike, less `measures.levelDb`. Null where there is none. */
  evenLessLevelDb: number | null;
  /** Out of another note without a break. */
  isSlurred: boolean;
  /** The note before stood out of the line, and this one is where the line was. */
  isBackInLine?: true;
}

const NO_START = noFigures('start');
const NO_LINE = noFigures('line');

/** What a drone in the sound makes unknowable. */
const NO_PITCH = {
  centsMean: null,
  centsSpread: null,
  withinCents: null,
  firstToLastCents: null,
  driftCentsPerSecond: null,
  ...NO_ENDS,
  vibratoHz: null,
  vibratoCents: null,
  vibratoRegularity: null,
  ...NO_START,
  onsetOffsetMs: null,
  firstPartial: null,
  landingCents: null,
  settleMs: null,
  clearSeconds: null,
} satisfies Partial<ItemMeasures>;

/** Echoes make steps smaller than this. */
const RINGING_STAIR_DB = 4;

/** A slip this soon after the tone began is the partial it began on. */
const FIRST_SECONDS = 0.06;

/** Whether the note is slurred to or from the same pitch by other fingers: two colours of one tone. */
function changesFingersAlone({ score }: JudgeContext, index: number): boolean {
  const isOther = (one: TimedItem | undefined, other: TimedItem | undefined) =>
    one?.item.kind === 'note' &&
    other?.item.kind === 'note' &&
    one.phrase === other.phrase &&
    other.item.attack === 'slurred' &&
    one.item.writtenMidi === other.item.writtenMidi &&
    one.item.fingered !== other.item.fingered;
  return (
    isOther(score.at(index), score.at(index + 1)) || (index > 0 && isOther(score[index - 1], score[index]))
  );
}

/** Measures one note of a take, the item of this index, in the span where it was found. `zero` is beat 0 on the take's clock. */
export function judgeNote(
  judging: JudgeContext,
  index: number,
  span: ToneSpan,
  zero: number | null,
  isSlurred: boolean,
): JudgedNote {
  const { track, context, secondsPerBeat, roomAir } = judging;
  const timed = judging.score[index] as TimedItem<NoteItem>;
  const { item: note } = timed;
  const laid = alignNote(judging, timed, span, zero, isSlurred);
  const { target, history, holes, read, curve, zero: noteZero, error, hold } = laid;
  const { onsetSeconds, slips } = history;
  const shape = shapeOf(note);
  const isSwell = shape !== 'steady';
  const leastStairDb = judging.roomDecayDbPerSecond === null ? 0 : RINGING_STAIR_DB;
  const laidAt = { beatZeroSeconds: noteZero, secondsPerBeat, lengthBeats: note.lengthBeats };
  const level = levelOpinions(track, read, curve, laidAt, judging.roomDecayDbPerSecond !== null);
  const stairs = isSwell
    ? findStairs(curve, level.doubtDb).filter(({ stepDb }) => Math.abs(stepDb) >= leastStairDb)
    : [];
  const hairpin = shape === 'steady' ? null : readHairpin(curve, shape, secondsPerBeat);
  const turn = writtenTurnBeat(note);
  const release = history.events.find((event) => event.type === 'release');
  const endSeconds = release?.timeSeconds ?? span.last * FRAME_SECONDS;
  const first = slips.find(
    ({ type, timeSeconds }) => type !== 'squeak' && timeSeconds < span.first * FRAME_SECONDS + FIRST_SECONDS,
  );
  const steady = measureNote(read, { hasEnds: isSwell });
  const isOwnTime = context.exercise.start === 'ownTime';
  const hasEndBeat = endsOnBeat(judging, index);
  const measures: ItemMeasures = {
    ...steady,
    ...(isSlurred ? NO_START : measureStart(track, span, target, history.airOnsetSeconds)),
    onsetOffsetMs:
      zero === null || isOwnTime
        ? null
        : 1000 * ((isSlurred ? span.first * FRAME_SECONDS : onsetSeconds) - noteZero),
    endOffsetMs: hasEndBeat ? 1000 * (endSeconds - (noteZero + note.lengthBeats * secondsPerBeat)) : null,
    endFadeMs: hasEndBeat && !isSwell && steady.levelDb !== null ? fadeMs(track, span, steady.levelDb) : null,
    firstPartial: first && 'to' in first ? first.to : null,
    clearSeconds: clearSeconds(track, span, onsetSeconds, target.targetHz, judging.tolerance.pitchCents),
    ...measureLanding(track, span, onsetSeconds, target.targetHz),
    ...NO_LINE,
    ...(note.bend && measureBend(track, span, isRaised(note.bend), target.targetHz)),
    ...((note.judged?.includes('match') || changesFingersAlone(judging, index)) && {
      profileDb: profileOf(track, span),
    }),
    ...(note.judged?.includes('colour') && { centroidSpanHarmonics: centroidSpanHarmonics(read) }),
    ...(note.words && { words: wordColours(note, read, onsetSeconds, secondsPerBeat) }),
    ...(context.droneSpoils && NO_PITCH),
    swellErrorDb: error && (isSwell ? error.rmsDb : agreedSteadinessDb(level, error.rmsDb)),
    levelOffsetDb: error?.offsetDb ?? null,
    stairs: {
      count: stairs.length,
      worstDb: stairs.length > 0 ? Math.max(...stairs.map(({ stepDb }) => stepDb)) : null,
    },
    wrongWayPercent: !isSwell ? null : agreedWrongWayPercent(level, shape),
    peakOffsetBeats: turn === null || isOwnTime ? null : agreedPeakBeats(level, turn),
    holdSeconds: hold.seconds,
    holdBeats: hold.seconds / secondsPerBeat,
    holdCause: hold.cause,
  };
  const degrade: TakeEvent[] =
    hold.cause === 'completed'
      ? []
      : [{ type: 'degrade', timeSeconds: span.first * FRAME_SECONDS + hold.seconds, cause: hold.cause }];
  const breaths = holes.flatMap(({ timeSeconds, lengthSeconds }): TakeEvent[] => {
    const frame = (seconds: number) => Math.round(seconds / FRAME_SECONDS);
    const { breathSeconds } = measureGapNoise(
      track,
      frame(timeSeconds),
      frame(timeSeconds + lengthSeconds),
      roomAir,
    );
    return breathSeconds === null ? [] : [{ type: 'breath', timeSeconds: breathSeconds }];
  });
  const events = [
    ...history.events,
    ...breaths,
    ...degrade,
    ...stairs.map((stair) => stairEvent(stair, noteZero, secondsPerBeat)),
  ].sort((a, b) => a.timeSeconds - b.timeSeconds);
  const even = judging.roomDecayDbPerSecond === null ? null : evenLevelDb(track, span);
  const sounding = note.bend ? target.partial : heardPartial(track, span, target.tubeHz);
  return {
    item: note,
    span,
    onsetSeconds,
    read,
    measures,
    events,
    heardPartial: sounding,
    hairpin,
    evenLessLevelDb: even === null || steady.levelDb === null ? null : even - steady.levelDb,
    isSlurred,
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
