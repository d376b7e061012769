import {
  isAlone,
  levelAtFraction,
  noteTarget,
  shapeOf,
  type NoteItem,
  type TimedItem,
} from '../exercise/index.ts';
import { FRAME_SECONDS } from '../hearing/index.ts';
import { hornById, isHighNote, nearestMidi, toWritten } from '../horn/index.ts';
import { partialOf } from '../tone/index.ts';
import type { PhraseLevel } from './phraseLevel.ts';
import type { Finding } from './finding.ts';
import type { Found } from './follow.ts';
import { heardPartial } from './heardPartial.ts';
import type { NoteAnalysis } from './itemAnalysis.ts';
import type { JudgedNote } from './judgeNote.ts';
import type { JudgeContext } from './judgeContext.ts';
import type { ItemMeasures } from './measures.ts';
import { wrongPartial } from './brokenFindings.ts';
import { noteFindings } from './noteFindings.ts';
import { isSquawk } from './squawk.ts';
import { ringsMs } from './tolerances.ts';
import { decideVerdict, type Verdict } from './verdict.ts';
import { plainVibrato } from './vibratoAsked.ts';

/** Beside a note lie the notes beside it. */
const EDGE_FRAMES = Math.round(0.1 / FRAME_SECONDS);

/** A note still rings where the next one begins sooner than this. */
const TAIL_FRAMES = Math.round(0.5 / FRAME_SECONDS);

/** Louder than soft air: on the player's own scale, 0-1. */
const SQUAWK_FRACTION = 0.3;

/** What became of one written note: missed, something else in its place, or played and measured. */
export function noteAnalysis(
  judging: JudgeContext,
  { item, startBeat, endBeat }: TimedItem<NoteItem>,
  index: number,
  allFound: readonly (Found | null)[],
  allJudged: ReadonlyMap<number, JudgedNote>,
  zero: number,
  phraseLevel: PhraseLevel | null,
): NoteAnalysis {
  const { context, tolerance, secondsPerBeat } = judging;
  const found = allFound[index];
  const judged = allJudged.get(index);
  const before = index > 0 ? allFound[index - 1] : null;
  const isOwnTime = context.exercise.start === 'ownTime';
  const verdictOf = (findings: readonly Finding[], plain: Finding): Verdict =>
    decideVerdict(findings, plain, item.judged, tolerance);
  const common = { kind: 'note', item: index, writtenMidi: item.writtenMidi } as const;
  if (!found || !judged) {
    const heardMidi =
      found && toWritten(nearestMidi(found.soundingHz, context.a4Hz), hornById(context.hornId));
    const target = noteTarget(context.exercise, item, context.hornId, context.a4Hz);
    // What sounded where the note should have been: the tone before it may have gone on.
    const frameAt = (beat: number) => Math.round((zero + beat * secondsPerBeat) / FRAME_SECONDS);
    const span = found?.span ?? {
      first: Math.max(0, frameAt(startBeat) + EDGE_FRAMES),
      last: Math.min(judging.track.count - 1, frameAt(endBeat) - EDGE_FRAMES),
    };
    const heard =
      isOwnTime && !found
        ? partialGoneTo(judging, index, allFound, target.tubeHz)
        : heardPartial(judging.track, span, target.tubeHz);
    const canSquawk = isHighNote(item.writtenMidi) && !isAlone(context.exercise);
    const squawked =
      canSquawk && isSquawk(judging.track, span, levelAtFraction(SQUAWK_FRACTION, context.scale));
    const finding: Finding = squawked
      ? { kind: 'onlySquawk' }
      : (wrongPartial(heard, target.partial) ??
        (heardMidi === null ? { kind: 'missed' } : { kind: 'wrongNote', heardMidi }));
    return {
      ...common,
      status: found ? 'wrongNote' : 'missed',
      heardMidi,
      heardPartial: heard,
      startSeconds: found && found.span.first * FRAME_SECONDS,
      endSeconds: found && found.span.last * FRAME_SECONDS,
      measures: null,
      events: [],
      verdict: verdictOf([finding], finding),
    };
  }
  const { measures, events, span, onsetSeconds: onset } = judged;
  const findings = noteFindings({
    note: item,
    measures,
    events,
    onsetSeconds: onset,
    tolerance,
    writtenSeconds: judging.written[index].item.lengthBeats * secondsPerBeat,
    isOwnTime,
    isBackInLine: judged.isBackInLine === true,
    writtenEndSeconds: zero + endBeat * secondsPerBeat,
    partial: noteTarget(context.exercise, item, context.hornId, context.a4Hz).partial,
    heardPartial: judged.heardPartial,
    holeAfterMs: allJudged.get(index + 1)?.measures.gapMs ?? null,
    breathHeard: events.some(({ type }) => type === 'breath'),
    isJoined: isJoinedTo(judging, before, span),
    airBeforeWasWritten: judging.score.at(index - 1)?.item.kind === 'air' && index > 0,
    airAfterWasWritten: judging.score.at(index + 1)?.item.kind === 'air',
    ringsMs: ringsMs(judging.roomDecayDbPerSecond),
    isOverTail: before !== null && span.first - before.span.last < TAIL_FRAMES,
    airWouldBeHeard: airWouldBeHeard(judging, judged),
    usualSoftBreathDb: context.usualSoftBreathDb ?? null,
    othersDb: judging.othersDb,
    level: {
      hairpin: judged.hairpin,
      offsetDb: measures.levelOffsetDb,
      evenPlaceDb: evenPlaceDb(judged, phraseLevel),
      phraseOffsetDb: phraseLevel?.offsetDb ?? 0,
      isAlone: phraseLevel?.isAlone ?? true,
      isFlat: phraseLevel?.isFlat ?? false,
      scale: context.scale,
    },
  });
  const heldSeconds = span.last * FRAME_SECONDS - onset;
  const plain = plainFinding(item, measures, isOwnTime ? heldSeconds : null);
  return {
    ...common,
    status: 'played',
    heardMidi: null,
    heardPartial: judged.heardPartial,
    startSeconds: onset,
    endSeconds: span.last * FRAME_SECONDS,
    measures,
    events,
    verdict: item.open ? withFirst(plain, verdictOf(findings, plain)) : verdictOf(findings, plain),
  };
}

/** How far a note is from its place by the second opinion of its level; null where there is none. */
function evenPlaceDb({ measures, evenLessLevelDb }: JudgedNote, phrase: PhraseLevel | null): number | null {
  const evenOffsetDb = phrase?.evenOffsetDb ?? null;
  if (measures.levelOffsetDb === null || evenLessLevelDb === null || evenOffsetDb === null) return null;
  return measures.levelOffsetDb + evenLessLevelDb - evenOffsetDb;
}

/** In the player's own time: the partial of the same tube to which the sound went past a note that was left out. */
function partialGoneTo(
  { written }: JudgeContext,
  index: number,
  allFound: readonly (Found | null)[],
  tubeHz: number,
): number | null {
  const { phrase } = written[index];
  const next = allFound.findIndex((found, i) => i > index && found !== null && written[i].phrase === phrase);
  const here = written.at(next)?.item;
  const isSlurred = next > 0 && here?.kind === 'note' && here.attack === 'slurred';
  return isSlurred ? partialOf(allFound[next]?.soundingHz ?? 0, tubeHz) : null;
}

/** What there is to say of a note where nothing stood out: by what it was asked for. `ownTimeSeconds`: held so long in the player's own time. */
function plainFinding(item: NoteItem, measures: ItemMeasures, ownTimeSeconds: number | null): Finding {
  if (measures.centsMean === null && measures.levelDb === null) return { kind: 'tooShort' };
  const { bendRangeCents, raiseRangeCents, centroidSpanHarmonics, matchDb, matchCents, subtone } = measures;
  if (typeof bendRangeCents === 'number') return { kind: 'bent', cents: bendRangeCents };
  if (typeof raiseRangeCents === 'number') return { kind: 'raised', cents: raiseRangeCents };
  const swing = plainVibrato(item, measures);
  if (swing) return swing;
  if (subtone) return { kind: 'subtone', airierDb: subtone.airierDb, softerDb: subtone.softerDb };
  if (typeof matchDb === 'number' && typeof matchCents === 'number')
    return { kind: 'matched', db: matchDb, cents: matchCents };
  if (typeof centroidSpanHarmonics === 'number')
    return { kind: 'colourMoved', harmonics: centroidSpanHarmonics, spreadCents: measures.centsSpread ?? 0 };
  if (item.open && measures.holdSeconds !== null && measures.holdCause !== null)
    return { kind: 'held', seconds: measures.holdSeconds, cause: measures.holdCause };
  if (item.tone === 'subtone') return { kind: 'noFullTone' };
  const withinCents = measures.withinCents ?? 0;
  if (shapeOf(item) !== 'steady' && measures.endToEndCents !== null)
    return { kind: 'evenSwell', cents: measures.endToEndCents, withinCents };
  const { clearSeconds } = measures;
  if (ownTimeSeconds !== null && clearSeconds !== null)
    return { kind: 'clear', seconds: clearSeconds, heldSeconds: ownTimeSeconds };
  return { kind: 'even', errorDb: measures.swellErrorDb ?? 0, withinCents };
}

/** A note that follows the one before within this has no break before it. */
const BREAK_FRAMES = Math.round(0.04 / FRAME_SECONDS);
/** The tongue takes at least so much of the level away for a moment. */
const DIP_DB = 4;

/** Whether the sound went on without a break from the tone before into this one. */
function isJoinedTo(
  { track: { columns } }: JudgeContext,
  before: Found | null,
  { first }: { first: number },
): boolean {
  if (!before || first - before.span.last > BREAK_FRAMES) return false;
  const around = columns.levelDb.subarray(Math.max(0, first - 8), first + 8);
  const beside = [first - 15, first + 15].map((frame) => columns.levelDb[frame]);
  return Math.min(...around) > Math.min(...beside) - DIP_DB;
}

/** Air under a tone by this much is still told from the room. */
const AIR_UNDER_TONE_DB = 26;

/** Whether air before a note would have been heard in this room and beside others, had any gone. */
function airWouldBeHeard({ roomLevelDb, othersDb }: JudgeContext, { measures }: JudgedNote): boolean {
  if (roomLevelDb === null || measures.levelDb === null) return false;
  return measures.levelDb - AIR_UNDER_TONE_DB > Math.max(roomLevelDb, othersDb ?? -Infinity);
}

/** How long it held is what an open note is about, whatever else stood out. */
function withFirst(first: Finding, verdict: Verdict): Verdict {
  const others = verdict.findings.filter(({ kind }) => kind !== first.kind);
  return { ...verdict, findings: [first, ...others].slice(0, 2) };
}
