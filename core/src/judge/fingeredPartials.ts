import { noteTarget, onlyNote, scoreOf } from '../exercise/index.ts';
import { columnValue, FRAME_SECONDS, type FrameColumns } from '../hearing/index.ts';
import { partialOf, partialsOf } from '../tone/index.ts';
import type { TakeAnalysis } from './takeAnalysis.ts';
import type { TakeContext } from './takeContext.ts';

/**
 * Partial of the fingered tube at each frame of a take: all through it where one note was asked for, else within the notes
 * that were found; null where nothing is fingered or nothing fits.
 */
export function fingeredPartials(
  { f0Hz }: Pick<FrameColumns, 'f0Hz'>,
  { exercise, hornId, a4Hz }: Pick<TakeContext, 'exercise' | 'hornId' | 'a4Hz'>,
  items: TakeAnalysis['items'],
): (number | null)[] {
  const only = onlyNote(exercise);
  if (only) return partialsOf(f0Hz, noteTarget(exercise, only, hornId, a4Hz).tubeHz);
  const partials = Array.from(f0Hz, (): number | null => null);
  const score = scoreOf(exercise);
  for (const { item: index, startSeconds, endSeconds } of items) {
    const { item } = score[index];
    if (item.kind !== 'note' || startSeconds === null || endSeconds === null) continue;
    const { tubeHz } = noteTarget(exercise, item, hornId, a4Hz);
    const last = Math.min(f0Hz.length - 1, Math.round(endSeconds / FRAME_SECONDS));
    for (let i = Math.max(0, Math.floor(startSeconds / FRAME_SECONDS)); i <= last; i++) {
      const hz = columnValue(f0Hz, i);
      partials[i] = hz === null ? null : partialOf(hz, tubeHz);
    }
  }
  return partials;
}
