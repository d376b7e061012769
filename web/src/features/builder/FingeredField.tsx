import type { NoteItem } from '@inner-hum/core/exercise';
import { Box } from '@chakra-ui/react';
import {
  fingeringOf,
  isSameFingering,
  regularFingering,
  routeChance,
  routesTo,
  writtenMidi,
  type Horn,
  type KeyId,
  type NoteNaming,
} from '@inner-hum/core/horn';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { FingeringDiagram, noteText } from '../../notation/index.ts';
import { ActionButton, Select } from '../../ui/index.ts';

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
  const routes = routesTo(note.writtenMidi, horn)
    .filter(({ kind }) => kind !== 'regular')
    .toSorted((a, b) => routeChance(b, null) - routeChance(a, null));
  // What leads to no note here is kept as it is, and said.
  const isAstray = note.fingered !== null && !routes.some(({ fingered }) => fingered === note.fingered);
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
      {(routes.length > 0 || isAstray) && (
        <Select
          label={t('builder.fingered')}
          value={note.fingered === null ? '' : String(note.fingered)}
          plain={[
            { value: '', label: t('builder.ownFingering') },
            ...routes.map(({ kind, fingered, partial }) => ({
              value: String(fingered),
              label: t(kind === 'shortTube' ? 'builder.shortTube' : 'builder.tube', {
                note: noteText(fingered, naming),
                partial,
              }),
            })),
            ...(isAstray && note.fingered !== null
              ? [{ value: String(note.fingered), label: noteText(note.fingered, naming) }]
              : []),
          ]}
          onChange={(value) =>
            onChange({ ...regularly, fingered: value === '' ? null : writtenMidi(Number(value)) })
          }
        />
      )}
      {isAstray && note.fingered !== null && (
        <Box role="status" data-testid="no-route">
          {t('builder.noRoute', {
            note: noteText(note.writtenMidi, naming),
            tube: noteText(note.fingered, naming),
          })}
        </Box>
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
