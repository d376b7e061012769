import type { NoteItem, TimedItem } from '../exercise/index.ts';
import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { beatZeros, findItems, isSlurredTo } from './findItems.ts';
import type { HoldCause } from './hold.ts';
import { createJudgeContext } from './judgeContext.ts';
import { alignNote } from './alignNote.ts';
import type { TakeContext } from './takeContext.ts';

/**
 * When and by what a take that is still being played first failed, on its own clock; null while everything is good.
 * Cheap enough to be asked several times a second. What was missed or wrong is no failing tone: it is told at the end.
 */
export function firstFault(
  track: FrameTrack,
  context: TakeContext,
): { timeSeconds: number; cause: HoldCause } | null {
  const judging = createJudgeContext(track, context, []);
  const found = findItems(judging);
  const zeros = beatZeros(judging, found);
  for (const [index, item] of found.entries()) {
    const timed = judging.score[index];
    if (timed.item.kind !== 'note' || item?.status !== 'played') continue;
    const isSlurred = isSlurredTo(judging.score, found, index);
    const { seconds, cause } = alignNote(
      judging,
      timed as TimedItem<NoteItem>,
      item.span,
      zeros[timed.phrase],
      isSlurred,
    ).hold;
    if (cause !== 'completed') return { timeSeconds: item.span.first * FRAME_SECONDS + seconds, cause };
  }
  return null;
}
