import type { NamedNote } from '@inner-hum/core/headline';
import { isShortTube, type NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { noteText } from './NoteGlyph.tsx';

/** Whether a note is taken from a fingering with the octave key: what sounds over it is overblown. */
export const isOverblown = ({ fingered }: Pick<NamedNote, 'fingered'>): boolean =>
  fingered !== null && isShortTube(fingered);

/** A note with what it must not be mistaken for: the fingering it was taken from, and a subtone. */
export function namedNoteText(
  { writtenMidi, fingered, tone, spelledIn }: NamedNote,
  naming: NoteNaming,
  t: TFunction,
): string {
  const note = noteText(writtenMidi, naming, spelledIn);
  if (tone) return t('noteName.subtone', { note });
  if (fingered === null || fingered === writtenMidi) return note;
  return t(isOverblown({ fingered }) ? 'noteName.overblown' : 'noteName.over', {
    note,
    tube: noteText(fingered, naming),
  });
}
