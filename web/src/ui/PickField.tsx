import { Box, chakra } from '@chakra-ui/react';
import { plainName, readNote, type NoteNaming } from '@inner-hum/core/horn';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { noteText } from '../notation/index.ts';
import { Field, FIELD_LOOK } from './Field.tsx';

interface PickFieldProps {
  label: string;
  /** MIDI numbers with dots between; empty: none picked. */
  value: string;
  least: number;
  most: number;
  count: number;
  /** What is played where none is picked; empty: all of them. */
  unpicked: readonly number[];
  naming: NoteNaming;
  onPick(value: string): void;
}

const notesOf = (value: string) => value.split('.').filter(Boolean).map(Number);

/** Notes of one's own choice, typed one after the other. What is no note of the horn is said, and the others are taken. */
export function PickField({ label, value, least, most, count, unpicked, naming, onPick }: PickFieldProps) {
  const { t } = useTranslation();
  const written = notesOf(value)
    .map((midi) => plainName(midi, naming))
    .join(' ');
  const [draft, setDraft] = useState(written);
  const [wrong, setWrong] = useState<string | null>(null);
  const take = () => {
    const words = draft.split(/[\s,;]+/).filter(Boolean);
    const read = words.map((word) => ({ word, midi: readNote(word, naming) }));
    const unread = read.find(({ midi }) => midi === null);
    const outside = read.find(({ midi }) => midi !== null && (midi < least || midi > most));
    const picked = [...new Set(read.flatMap(({ midi }) => midi ?? []))].filter(
      (midi) => midi >= least && midi <= most,
    );
    setWrong(
      unread
        ? t('pick.unread', {
            word: unread.word.slice(0, 20),
            example: [71, 60, 87].map((midi) => plainName(midi, naming)).join(' '),
          })
        : outside
          ? t('pick.outside', {
              word: outside.word,
              low: noteText(least, naming),
              high: noteText(most, naming),
            })
          : picked.length > count
            ? t('pick.tooMany', { count })
            : null,
    );
    onPick(picked.slice(0, count).join('.'));
  };
  return (
    <Box>
      <Field label={label}>
        {(id) => (
          <chakra.input
            id={id}
            type="text"
            value={draft}
            maxLength={300}
            placeholder={
              unpicked.length === 0
                ? t('pick.all')
                : unpicked.map((midi) => plainName(midi, naming)).join(' ')
            }
            aria-invalid={wrong !== null}
            onChange={(event) => setDraft(event.target.value)}
            onBlur={take}
            onKeyDown={(event) => {
              event.stopPropagation();
              if (event.key === 'Enter') take();
            }}
            w="12"
            maxW="full"
            minH="touch"
            {...FIELD_LOOK}
          />
        )}
      </Field>
      {wrong && (
        <Box role="alert" color="muted" fontSize="small">
          {wrong}
        </Box>
      )}
    </Box>
  );
}
