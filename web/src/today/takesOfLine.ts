import type { SheetLine } from '@inner-hum/core/plan';
import { notesOf, scoreOf } from '@inner-hum/core/exercise';
import { takesOfDay, type SettingsRecord, type TakeRecord } from '../storage/index.ts';

/** The newest playing of a line of the sheet on its day: the takes of its last round, or its last take alone; none where it was not played. */
export async function takesOfLine(
  { family, exerciseId, item }: SheetLine,
  day: string,
  { source, hornId }: Pick<SettingsRecord, 'source' | 'hornId'>,
): Promise<TakeRecord[]> {
  if (family === null && !exerciseId) return [];
  const midi = item?.midi ?? null;
  const fits = ({ context, analysis, hornId: horn }: TakeRecord) =>
    horn === hornId &&
    analysis !== null &&
    (family === null ? context?.exercise.shelfId === exerciseId : context?.exercise.family === family) &&
    (midi === null ||
      context === null ||
      notesOf(scoreOf(context.exercise)).some(
        (note) => (note.item.fingered ?? note.item.writtenMidi) === midi,
      ));
  const takes = (await takesOfDay(day, source)).filter(fits);
  const last = takes.at(0);
  if (!last) return [];
  return last.roundId === null ? [last] : takes.filter(({ roundId }) => roundId === last.roundId).reverse();
}
