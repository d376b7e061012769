import type { NoteItem } from '@inner-hum/core/exercise';
import { writtenMidi, type Horn, type NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { noteText, Select } from '../../ui/index.ts';

/** Half steps from a tube's own note to its partials 2 to 8. */
const PARTIAL_STEPS = [12, 19, 24, 28, 31, 34, 36];
/** The longest tubes overblow farthest; above F4 only the second and third speak. */
const LAST_LONG_TUBE = 65;
const LAST_SHORT_TUBE = 73;

interface FingeredFieldProps {
  note: NoteItem;
  horn: Horn;
  naming: NoteNaming;
  onChange(note: NoteItem): void;
}

/** The fingering that is held: the note's own, or a lower one whose overtone it is. */
export function FingeredField({ note, horn, naming, onChange }: FingeredFieldProps) {
  const { t } = useTranslation();
  const tubes = PARTIAL_STEPS.map((step, i) => ({ midi: note.writtenMidi - step, partial: i + 2 })).filter(
    ({ midi, partial }) => midi >= horn.lowest && midi <= (partial <= 3 ? LAST_SHORT_TUBE : LAST_LONG_TUBE),
  );
  if (tubes.length === 0) return null;
  return (
    <Select
      label={t('builder.fingered')}
      value={note.fingered === null ? '' : String(note.fingered)}
      plain={[
        { value: '', label: t('builder.ownFingering') },
        ...tubes.map(({ midi, partial }) => ({
          value: String(midi),
          label: t('builder.tube', { note: noteText(midi, naming), partial }),
        })),
      ]}
      onChange={(value) => onChange({ ...note, fingered: value === '' ? null : writtenMidi(Number(value)) })}
    />
  );
}
