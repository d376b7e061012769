import type { Choices } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { signedNote } from './NoteGlyph.tsx';

/** What is played, with the note it is on where that was chosen. */
export const nameOnNote = (
  name: string,
  note: Choices['note'] | null,
  naming: NoteNaming,
  t: TFunction,
): string => (typeof note === 'number' ? t('today.onNote', { name, note: signedNote(note, naming) }) : name);
