import type { NoteNaming } from '@inner-hum/core/horn';
import { format } from 'date-fns';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { NoteGlyph, noteText } from '../../ui/index.ts';
import type { TakeRecord } from '../../storage/index.ts';

function marksOf({ context }: TakeRecord): string {
  const marks = context?.exercise.items[0].dynamics.map(({ mark }) => mark) ?? [];
  return marks.filter((mark, i) => mark !== marks[i - 1]).join(' – ');
}

/** "G4, pp ff pp": the note and its marks, or free playing. */
export function TakeTitle({ take, naming }: { take: TakeRecord; naming: NoteNaming }) {
  const { t } = useTranslation();
  const item = take.context?.exercise.items[0];
  if (!item) return <>{t('takes.free')}</>;
  return (
    <>
      <NoteGlyph midi={item.writtenMidi} naming={naming} octave />, <em>{marksOf(take)}</em>
    </>
  );
}

/** The same as plain text with its day and time, for lists. */
export function takeLabel(take: TakeRecord, naming: NoteNaming, t: TFunction): string {
  const item = take.context?.exercise.items[0];
  const what = item ? `${noteText(item.writtenMidi, naming)}, ${marksOf(take)}` : t('takes.free');
  return `${what} · ${format(take.startedAt, 'd MMM, HH:mm')}`;
}
