import { Box, chakra, Heading } from '@chakra-ui/react';
import { hasSlipped, lastHairpins, notesIn, SORTS, sortOf } from '@inner-hum/core/headline';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { noteText, playedOf } from '../../notation/index.ts';
import type { TakeRecord } from '../../storage/index.ts';
import { cents, decibels } from './figureRows.ts';

const COLUMNS = ['note', 'cents', 'breath', 'slipped', 'sort'] as const;

/** Notes with a hairpin each, sorted by how they took it; of a note played again the last time counts. */
export function EveryNoteTable({ takes, naming }: { takes: readonly TakeRecord[]; naming: NoteNaming }) {
  const { t } = useTranslation();
  const last = lastHairpins(notesIn(takes.flatMap(playedOf)));
  if (last.length < 2) return null;
  const sorted = SORTS.flatMap((sort) =>
    last
      .filter((note) => sortOf(note) === sort)
      .toSorted((a, b) => a.written.writtenMidi - b.written.writtenMidi)
      .map((note) => ({ note, sort })),
  );
  return (
    <Box as="section" my="5" overflowX="auto" data-testid="every-note">
      <Heading as="h2" fontSize="large" mb="2">
        {t('everyNote.title')}
      </Heading>
      <chakra.table borderCollapse="collapse">
        <thead>
          <tr>
            {COLUMNS.map((name) => (
              <chakra.th
                key={name}
                scope="col"
                textAlign="left"
                fontWeight="400"
                color="muted"
                fontSize="small"
                pr="5"
              >
                {t(`everyNote.${name}`)}
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sorted.map(({ note, sort }) => (
            <tr key={note.written.writtenMidi} data-sort={sort}>
              <chakra.th scope="row" textAlign="left" fontWeight="400" pr="5" py="1">
                {noteText(note.written.writtenMidi, naming)}
              </chakra.th>
              <chakra.td pr="5">{cents(note.measures?.endToEndCents ?? null, t)}</chakra.td>
              <chakra.td pr="5">{decibels(note.measures?.softEndBreathDb ?? null, t)}</chakra.td>
              <chakra.td pr="5">{t(hasSlipped(note) ? 'everyNote.yes' : 'everyNote.no')}</chakra.td>
              <chakra.td fontWeight={sort === 'atOnce' ? '400' : '700'}>
                {t(`everyNote.sorts.${sort}`)}
              </chakra.td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
