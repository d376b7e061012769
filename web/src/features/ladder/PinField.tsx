import { routesTo, writtenMidi, type Horn, type NoteNaming, type WrittenMidi } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { noteText } from '../../notation/index.ts';
import { Select } from '../../ui/index.ts';

interface PinFieldProps {
  note: WrittenMidi;
  horn: Horn;
  naming: NoteNaming;
  /** The note whose fingering is to be held for it; null: the likeliest. */
  pinned: WrittenMidi | null;
  onPin(note: WrittenMidi, fingered: WrittenMidi | null): void;
}

/** By which fingering a note of a line is to be played: the likeliest, or one that stays. Nothing where there is one way only. */
export function PinField({ note, horn, naming, pinned, onPin }: PinFieldProps) {
  const { t } = useTranslation();
  const routes = routesTo(note, horn);
  if (routes.length < 2) return null;
  return (
    <Select
      label={t('routes.pin', { note: noteText(note, naming) })}
      value={pinned === null ? '' : String(pinned)}
      onChange={(value) => onPin(note, value === '' ? null : writtenMidi(Number(value)))}
      plain={[
        { value: '', label: t('routes.likeliest') },
        ...routes.map(({ kind, fingered, partial }) => ({
          value: String(fingered),
          label: kind === 'regular' ? t('ladder.regular') : `${noteText(fingered, naming)} ×${partial}`,
        })),
      ]}
    />
  );
}
