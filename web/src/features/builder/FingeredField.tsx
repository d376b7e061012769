import type { NoteItem } from '@inner-hum/core/exercise';
import { Box } from '@chakra-ui/react';
import {
  fingeringOf,
  isSameFingering,
  regularFingering,
  writtenMidi,
  type Horn,
  type KeyId,
  type NoteNaming,
} from '@inner-hum/core/horn';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { FingeringDiagram, noteText } from '../../notation/index.ts';
import { ActionButton, Select } from '../../ui/index.ts';

/** Half steps from a tube's own note to its partials 2 to 8. */
const PARTIAL_STEPS = [12, 19, 24, 28, 31, 34, 36];
/** The longest tubes overblow farthest; above F4 only the second and third speak. */
const LAST_LONG_TUBE = 65;
const LAST_SHORT_TUBE = 73;
/** As large as a finger needs it. */
const EDITOR_PX = 300;

interface FingeredFieldProps {
  note: NoteItem;
  horn: Horn;
  naming: NoteNaming;
  onChange(note: NoteItem): void;
}

/** The fingering that is held: the note's own, a lower one whose overtone it is, or any keys at all. */
export function FingeredField({ note, horn, naming, onChange }: FingeredFieldProps) {
  const { t } = useTranslation();
  const tubes = PARTIAL_STEPS.map((step, i) => ({ midi: note.writtenMidi - step, partial: i + 2 })).filter(
    ({ midi, partial }) => midi >= horn.lowest && midi <= (partial <= 3 ? LAST_SHORT_TUBE : LAST_LONG_TUBE),
  );
  const [isOpen, setOpen] = useState(false);
  const regular = regularFingering(note.fingered ?? note.writtenMidi);
  const keys = note.keys ?? regular;
  const { keys: _keys, ...regularly } = note;
  const toggle = (key: KeyId) => {
    const next = fingeringOf(keys.includes(key) ? keys.filter((each) => each !== key) : [...keys, key]);
    onChange(isSameFingering(next, regular) ? regularly : { ...note, keys: [...next] });
  };
  return (
    <>
      {tubes.length > 0 && (
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
          onChange={(value) =>
            onChange({ ...regularly, fingered: value === '' ? null : writtenMidi(Number(value)) })
          }
        />
      )}
      <Box>
        <ActionButton look="plain" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {t('fingering.edit')}
        </ActionButton>
        {isOpen && (
          <Box>
            <FingeringDiagram fingering={keys} height={EDITOR_PX} onToggle={toggle} />
            {note.keys && (
              <ActionButton look="plain" onClick={() => onChange(regularly)}>
                {t('fingering.regular')}
              </ActionButton>
            )}
          </Box>
        )}
      </Box>
    </>
  );
}
