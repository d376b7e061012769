import { isAlone, noteTarget, type NoteItem, type TimedItem } from '../exercise/index.ts';
import { isHighNote } from '../horn/index.ts';
import { isSlurredTo } from './findItems.ts';
import type { Found } from './follow.ts';
import type { JudgeContext } from './judgeContext.ts';
import { measureJoinedPeak, measureLine } from './judgeLine.ts';
import { judgeNote, type JudgedNote } from './judgeNote.ts';
import { caughtDb, letGoDb } from './outOfAir.ts';
import { squawkMs } from './squawk.ts';

/**
 * Every note that was found, measured by itself, out of the air before it and in line with the note before it: by its place in the score.
 * `zeros` are the beats' zeros of the items, in seconds of the take.
 */
export function judgeNotes(
  judging: JudgeContext,
  found: readonly (Found | null)[],
  zeros: readonly number[],
): Map<number, JudgedNote> {
  const { score, track, context } = judging;
  // In one's own time the peak is where one moves.
  const isOwnTime = context.exercise.start === 'ownTime';
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
    if (isSlurred && !isOwnTime)
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
  return judged;
}

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
