import { acrossHoles } from './acrossHoles.ts';
import {
  exerciseUpTo,
  type ExerciseItem,
  isOpenEnded,
  type NoteItem,
  type TimedItem,
} from '../exercise/index.ts';
import type { FrameTrack, NonPlayerSpan } from '../hearing/index.ts';
import { hornById } from '../horn/index.ts';
import type { Advice } from './advice.ts';
import { beatPlaces } from './beatPlaces.ts';
import { adviceInPlace } from './adviceInPlace.ts';
import { beatZeros, findItems } from './findItems.ts';
import type { Found } from './follow.ts';
import type { ItemAnalysis } from './itemAnalysis.ts';
import { judgeNonNoteItem } from './judgeNonNoteItem.ts';
import { markBackInLine } from './judgeLine.ts';
import { judgeNotes } from './judgeNotes.ts';
import { createJudgeContext } from './judgeContext.ts';
import { matchNotes } from './matchNotes.ts';
import { noteAnalysis } from './noteAnalysis.ts';
import { isSpeechAlone, isStandingTone } from './nobodyPlayed.ts';
import type { TakeContext } from './takeContext.ts';
import type { TakeAnalysis } from './takeAnalysis.ts';
import { inOwnTime, playedBeats } from './ownTime.ts';
import { phraseOffsetsOf } from './phraseOffsets.ts';
import { withReadableMarks } from './readableMarks.ts';
import { judgedWithoutLevel, NO_LEVEL, unprocessed, withoutLevel } from './soundProcessing.ts';
import { measureFalls } from './fall.ts';
import { measureRestarts } from './restarts.ts';
import { measureSubtones } from './measureSubtones.ts';
import { SUBTONE_WINDOW } from './subtone.ts';
import { measureWhole, reachWholeVerdict } from './wholeTake.ts';

/**
 * Judges a finished take: follows its exercise through what was played and measures every item where it was found.
 * `foreign` are the metronome clicks and holes found in its sound: what they touch is not measured, and short holes
 * are bridged. Returns null where
 * neither a tone nor a squawk was heard and no air was asked for, and where nobody played: speech, the hum of the mains.
 */
export function analyseTake(
  heard: FrameTrack,
  asked: TakeContext,
  foreign: readonly NonPlayerSpan[],
): TakeAnalysis | null {
  const { exercise: readable, unread } = withReadableMarks(asked.exercise);
  const { track, processing } = unprocessed(acrossHoles(heard, foreign), readable, foreign);
  const exercise = processing === null ? readable : judgedWithoutLevel(readable, processing);
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
  const judged = judgeNotes(judging, found, zeros);
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

const hasSpoken = (item: ItemAnalysis) => item.kind === 'free' && (item.tones?.length ?? 0) > 0;

const hasSquawked = ({ verdict }: ItemAnalysis) =>
  verdict?.findings.some(({ kind }) => kind === 'onlySquawk') ?? false;
