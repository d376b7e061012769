import {
  DEFAULT_SCALE,
  exerciseUpTo,
  type ExerciseItem,
  isAlone,
  isOpenEnded,
  noteTarget,
  type NoteItem,
  type TimedItem,
} from '../exercise/index.ts';
import { FRAME_SECONDS, type NonPlayerSpan, type FrameTrack } from '../hearing/index.ts';
import { hornById, isHighNote } from '../horn/index.ts';
import type { Advice } from './advice.ts';
import { beatPlaces } from './beatPlaces.ts';
import { adviceInPlace } from './adviceInPlace.ts';
import { beatZeros, findItems, isSlurredTo } from './findItems.ts';
import type { Found } from './follow.ts';
import type { ItemAnalysis } from './itemAnalysis.ts';
import { judgeNonNoteItem } from './judgeNonNoteItem.ts';
import { markBackInLine, measureJoinedPeak, measureLine } from './judgeLine.ts';
import { judgeNote, type JudgedNote } from './judgeNote.ts';
import { createJudgeContext, type JudgeContext } from './judgeContext.ts';
import { matchNotes } from './matchNotes.ts';
import { noteAnalysis } from './noteAnalysis.ts';
import { squawkMs } from './squawk.ts';
import { isSpeechAlone, isStandingTone } from './nobodyPlayed.ts';
import type { TakeContext } from './takeContext.ts';
import type { TakeAnalysis } from './takeAnalysis.ts';
import { caughtDb, letGoDb } from './outOfAir.ts';
import { inOwnTime, playedBeats } from './ownTime.ts';
import { BEYOND_BAND_DB } from './levelFindings.ts';
import { phraseOffsetDb, type PhraseLevel, type PlacedNote } from './phraseLevel.ts';
import { withReadableMarks } from './readableMarks.ts';
import { judgedWithoutLevel, NO_LEVEL, unprocessed, withoutLevel } from './soundProcessing.ts';
import { measureFalls } from './fall.ts';
import { measureRestarts } from './restarts.ts';
import { SUBTONE_WINDOW, subtoneDepth, type FullTone, type SubtoneWindow } from './subtone.ts';
import { measureWhole, reachWholeVerdict } from './wholeTake.ts';

/**
 * Judges a finished take: follows its exercise through what was played and measures every item where it was found.
 * `foreign` are the metronome clicks and holes found in its sound: what they touch is not measured. Returns null where
 * neither a tone nor a squawk was heard and no air was asked for, and where nobody played: speech, the hum of the mains.
 */
export function analyseTake(
  heard: FrameTrack,
  asked: TakeContext,
  foreign: readonly NonPlayerSpan[],
): TakeAnalysis | null {
  const { exercise: readable, unread } = withReadableMarks(asked.exercise);
  const { track, processing } = unprocessed(heard, readable);
  const exercise = processing === null ? readable : judgedWithoutLevel(readable);
  const context = exercise === asked.exercise ? asked : { ...asked, exercise };
  const { asWritten, found } = findAsked(track, context, foreign);
  const beats = exercise.start === 'ownTime' ? playedBeats(asWritten, found) : null;
  const judging = beats === null ? asWritten : inOwnTime(asWritten, beats);
  const { score } = judging;
  const horn = hornById(context.hornId);
  if (isNobody(track, score, found)) return null;
  // Bare air is something to judge where it was asked for.
  const asksAir = score.some(({ item }) => item.kind === 'air');
  const isSilent = !asksAir && found.every((item) => item === null);
  const zeros = beatPlaces(judging, found, beatZeros(judging, found));
  /** Phrases whose beat has been set by a note of theirs. */
  const begun = new Set<number>();

  const judged = new Map<number, JudgedNote>();
  score.forEach((timed, index) => {
    const here = found[index];
    if (timed.item.kind !== 'note' || here?.status !== 'played') return;
    const isSlurred = isSlurredTo(score, found, index);
    const previous = index > 0 && score[index - 1].phrase === timed.phrase ? score[index - 1] : null;
    const zero = zeros[index];
    const setsBeat = context.beatZeroSeconds === null && !begun.has(timed.phrase);
    begun.add(timed.phrase);
    const note = judgeNote(judging, index, here.span, setsBeat ? null : zero, isSlurred);
    // What nobody heard begin is not early or late.
    if (here.isAssumed) note.measures.onsetOffsetMs = null;
    // Out of bare air that was written there is nothing to answer late to.
    if (previous?.item.kind === 'air') {
      note.measures.responseMs = null;
      note.measures.caughtDb = caughtDb(track, here.span);
    }
    const next = score.at(index + 1);
    if (next?.item.kind === 'air' && next.phrase === timed.phrase)
      note.measures.letGoDb = letGoDb(track, here.span);
    if (isHighNote(note.item.writtenMidi) && !isSlurred && !isAlone(context.exercise))
      note.measures.squawkMs = squawkBefore(judging, found, index, note);
    judged.set(index, note);
    const before = judged.get(index - 1);
    if (!before || !previous) return;
    Object.assign(note.measures, measureLine(judging, before, note, isSlurred));
    // In one's own time the peak is where one moves.
    if (isSlurred && beats === null)
      Object.assign(
        note.measures,
        measureJoinedPeak(
          judging,
          { timed: previous as TimedItem<NoteItem>, judged: before },
          { timed: timed as TimedItem<NoteItem>, judged: note },
          zero,
        ),
      );
  });

  if (processing !== null)
    for (const [index, note] of judged) judged.set(index, withoutLevel(note, processing));
  markBackInLine(judged, judging.tolerance.swellErrorDb);
  matchNotes(score, judged);
  measureSubtones(score, judged, context.fullTones ?? {}, context.subtoneWindow ?? SUBTONE_WINDOW);
  measureRestarts(score, judged);
  measureFalls(score, judged);
  const phraseOffsets = phraseOffsetsOf(judging, judged);
  const items = score.map((timed, index): ItemAnalysis =>
    timed.item.kind === 'note'
      ? noteAnalysis(
          judging,
          timed as TimedItem<NoteItem>,
          index,
          found,
          judged,
          zeros[index],
          phraseOffsets.get(timed.phrase) ?? null,
        )
      : judgeNonNoteItem(judging, found, index, zeros[index]),
  );
  /** What is advised of an item (undefined: of the whole), as it can be tried there. */
  const inPlace = (advice: Advice, index: number | undefined) => {
    const item = index === undefined ? null : score[index].item;
    return adviceInPlace(advice, { exercise, note: item?.kind === 'note' ? item : null, horn });
  };
  for (const { item, verdict } of items) if (verdict) verdict.advice = inPlace(verdict.advice, item);
  // A squawk is no tone, but it is news.
  if (isSilent && !items.some((item) => hasSquawked(item) || hasSpoken(item))) return null;
  const whole = reachWholeVerdict(items, judging.tolerance);
  return {
    beatZeroSeconds: zeros[0],
    ...(beats !== null && { playedBeats: beats }),
    items,
    events: items.flatMap(({ events }) => events).sort((a, b) => a.timeSeconds - b.timeSeconds),
    measures: {
      ...measureWhole(judging, [...judged.values()]),
      ...(processing !== null && NO_LEVEL),
    },
    verdict: { ...whole, advice: inPlace(whole.advice, whole.of.at(0)) },
    notJudged: [
      ...(context.droneSpoils ? (['pitch', 'onset'] as const) : []),
      ...(unread || processing !== null ? (['dynamics'] as const) : []),
    ],
    ...(processing !== null && { processing }),
  };
}

/** Whether what was heard is speech alone, or one tone that stands there from the first to the last. */
function isNobody(track: FrameTrack, score: readonly TimedItem[], found: readonly (Found | null)[]): boolean {
  const asks = (kind: ExerciseItem['kind']) => score.some(({ item }) => item.kind === kind);
  // What sounds beside an air that is asked for is no answer to it.
  if (!asks('note') || asks('hum') || asks('free')) return false;
  if (isSpeechAlone(track)) return true;
  return !asks('air') && !found.some((item) => item?.status === 'played') && isStandingTone(track);
}

/** What was asked, and where it was found: of what goes on until the player stops, no more than what was come to. */
function findAsked(track: FrameTrack, context: TakeContext, foreign: readonly NonPlayerSpan[]) {
  const asWritten = createJudgeContext(track, context, foreign);
  const found = findItems(asWritten);
  const count = found.findLastIndex((item) => item !== null) + 1;
  if (!isOpenEnded(context.exercise) || count === 0) return { asWritten, found };
  const exercise = exerciseUpTo(context.exercise, count);
  const score = asWritten.score.slice(0, count);
  return {
    asWritten: { ...asWritten, context: { ...context, exercise }, score, written: score },
    found: found.slice(0, count),
  };
}

/** Whether a phrase has one steady mark for all of its notes. */
function isFlat({ score }: JudgeContext, phrase: number): boolean {
  const marks = score.flatMap(({ item, phrase: theirs }) =>
    item.kind === 'note' && theirs === phrase ? item.dynamics.map(({ mark }) => mark) : [],
  );
  return new Set(marks).size === 1;
}

function phraseOffsetsOf(
  judging: JudgeContext,
  judged: ReadonlyMap<number, JudgedNote>,
): Map<number, PhraseLevel> {
  const { score, tolerance, context } = judging;
  const placed = new Map<number, PlacedNote[]>();
  const placedEvenly = new Map<number, PlacedNote[]>();
  for (const [index, { measures, span, evenLessLevelDb }] of judged) {
    if (measures.levelOffsetDb === null) continue;
    const { phrase } = score[index];
    const note = { offsetDb: measures.levelOffsetDb, seconds: (span.last - span.first) * FRAME_SECONDS };
    placed.set(phrase, [...(placed.get(phrase) ?? []), note]);
    if (evenLessLevelDb === null) continue;
    const even = { ...note, offsetDb: note.offsetDb + evenLessLevelDb };
    placedEvenly.set(phrase, [...(placedEvenly.get(phrase) ?? []), even]);
  }
  const bandDb = tolerance.swellErrorDb + BEYOND_BAND_DB;
  return new Map(
    [...placed].map(([phrase, notes]) => [
      phrase,
      {
        offsetDb: phraseOffsetDb(notes, bandDb, context.scale),
        // By their partials they have a place of their own, unlike any scale.
        evenOffsetDb: placedEvenly.has(phrase)
          ? phraseOffsetDb(placedEvenly.get(phrase) ?? [], bandDb, DEFAULT_SCALE)
          : null,
        isAlone: notes.length < 2,
        isFlat: isFlat(judging, phrase),
      },
    ]),
  );
}

const hasSpoken = (item: ItemAnalysis) => item.kind === 'free' && (item.tones?.length ?? 0) > 0;

const hasSquawked = ({ verdict }: ItemAnalysis) =>
  verdict?.findings.some(({ kind }) => kind === 'onlySquawk') ?? false;

/** The end of a note rings and releases. */
const RINGS_FRAMES = 10;

/** How long a note was a squawk before it came, from where the tone before it had rung out. */
function squawkBefore(
  { track, context: { exercise, hornId, a4Hz } }: JudgeContext,
  found: readonly (Found | null)[],
  index: number,
  { item, span, measures }: JudgedNote,
): number {
  if (measures.levelDb === null) return 0;
  const before = found.findLast((each, i) => i < index && each !== null);
  const from = before ? before.span.last + RINGS_FRAMES : 0;
  return squawkMs(track, from, span, noteTarget(exercise, item, hornId, a4Hz), measures.levelDb);
}

/**
 * Every subtone against the nearest full tone of its note in the phrase, the one before it where there are two; where there is none,
 * against this player's recent ones.
 */
function measureSubtones(
  score: readonly TimedItem[],
  judged: ReadonlyMap<number, JudgedNote>,
  fullTones: Readonly<Record<number, FullTone>>,
  window: SubtoneWindow,
): void {
  for (const [index, { item, measures }] of judged) {
    if (item.tone !== 'subtone') continue;
    const [full] = [...judged]
      .filter(
        ([i, other]) =>
          score[i].phrase === score[index].phrase &&
          other.item.writtenMidi === item.writtenMidi &&
          other.item.tone === undefined,
      )
      .toSorted(([a], [b]) => Math.abs(a - index) - Math.abs(b - index) || a - b);
    const model = full?.[1].measures ?? fullTones[item.writtenMidi];
    if (model) measures.subtone = subtoneDepth(measures, model, window);
  }
}
