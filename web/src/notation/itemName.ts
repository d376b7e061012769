import { spellingKey, type Exercise, type ExerciseItem } from '@inner-hum/core/exercise';
import type { HornId, NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { shortNote } from './NoteGlyph.tsx';
import { shownNote } from './shownNote.ts';

/**
 * What stands over an item: its note, from which fingering where that changes, and as what; or what is to be done. Null for a plain rest,
 * where the paper is empty.
 */
export function itemName(
  item: ExerciseItem,
  before: ExerciseItem | undefined,
  exercise: Pick<Exercise, 'body' | 'phrases'>,
  hornId: HornId,
  naming: NoteNaming,
  t: TFunction,
): string | null {
  switch (item.kind) {
    case 'note': {
      const note = shortNote(
        shownNote(item, exercise, hornId) ?? 0,
        naming,
        spellingKey(exercise.phrases[0]),
      );
      if (item.tone) return t('noteName.subtone', { note });
      const { fingered } = item;
      const isOver = fingered !== null && fingered !== item.writtenMidi;
      const isSame = before?.kind === 'note' && (before.fingered ?? before.writtenMidi) === fingered;
      return isOver && !isSame ? t('noteName.over', { note, tube: shortNote(fingered, naming) }) : note;
    }
    case 'rest':
      return item.breath === 'none' ? t('item.hold') : null;
    case 'air':
      return item.words?.[0]?.text ?? t('item.air');
    default:
      return t(`item.${item.kind}`);
  }
}
