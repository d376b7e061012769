import type { NamedNote } from '@inner-hum/core/headline';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { NoteGlyph } from './NoteGlyph.tsx';
import { namedNoteText, isOverblown } from './namedNoteText.ts';

/** A note with its fingering, where that is another's, and as what it is asked for: drawn, and as text for whoever does not see it. */
export function NamedNoteGlyph({ note, naming }: { note: NamedNote; naming: NoteNaming }) {
  const { t } = useTranslation();
  const { writtenMidi, fingered, tone, spelledIn = null } = note;
  const isOver = fingered !== null && fingered !== writtenMidi;
  if (!isOver && !tone) return <NoteGlyph midi={writtenMidi} naming={naming} octave spelledIn={spelledIn} />;
  return (
    <span role="img" aria-label={namedNoteText(note, naming, t)} style={{ whiteSpace: 'nowrap' }}>
      <span aria-hidden="true">
        <NoteGlyph midi={writtenMidi} naming={naming} octave spelledIn={spelledIn} />
        {isOver && (
          <>
            <span style={{ fontSize: '0.75em' }}> {t('noteName.overWord')} </span>
            <NoteGlyph midi={fingered} naming={naming} octave />
            {isOverblown(note) && <span style={{ fontSize: '0.75em' }}>, {t('noteName.overblownWord')}</span>}
          </>
        )}
        {tone && <span style={{ fontSize: '0.75em' }}> {t('noteName.subtoneWord')}</span>}
      </span>
    </span>
  );
}
