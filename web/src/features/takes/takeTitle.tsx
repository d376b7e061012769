import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { NoteGlyph } from '../../ui/index.ts';
import type { TakeRecord } from '../../storage/index.ts';

/** "G4, pp ff pp": the note and its marks, or free playing. */
export function TakeTitle({ take, naming }: { take: TakeRecord; naming: NoteNaming }) {
  const { t } = useTranslation();
  const item = take.context?.exercise.items[0];
  if (!item) return <>{t('takes.free')}</>;
  const marks = item.dynamics.map(({ mark }) => mark).filter((mark, i, all) => mark !== all[i - 1]);
  return (
    <>
      <NoteGlyph midi={item.writtenMidi} naming={naming} octave />, <em>{marks.join(' – ')}</em>
    </>
  );
}
