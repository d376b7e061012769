import { format } from 'date-fns';
import { noteText } from '../../ui/index.ts';
import type { TakeRecord } from '../../storage/index.ts';

/** A file name that sorts by time and says what was played: "2026-03-14 1842 G 4". */
export function takeFileName(take: TakeRecord): string {
  const item = take.context?.exercise.items[0];
  return `${format(take.startedAt, 'yyyy-MM-dd HHmmss')} ${item ? noteText(item.writtenMidi, 'letters') : 'free'}`;
}
