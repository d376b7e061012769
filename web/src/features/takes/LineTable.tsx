import { Box, chakra, Heading } from '@chakra-ui/react';
import {
  familyOf,
  playedPhrases,
  scoreOf,
  spellingKey,
  type Exercise,
  type ExerciseItem,
  type MajorKey,
} from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import { isNeutral, type ItemAnalysis, type TakeAnalysis } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { Volume2 } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { findingText, NamedNoteGlyph, NoteGlyph } from '../../notation/index.ts';
import { ASKED, COLUMNS, figuresOf } from './lineFigures.ts';

interface LineTableProps {
  /** As it was judged; null where what was written is lost. */
  exercise: Exercise | null;
  analysis: TakeAnalysis;
  naming: NoteNaming;
  /** A stretch of the take alone, on its clock. */
  onHear(fromSeconds: number, toSeconds: number): void;
}

/** A note is heard with a little of what is around it. */
const AROUND_SECONDS = 0.05;

/** What an item is called: a note with its fingering and as what it was asked for, a side of a comparison by its word. */
function nameOf(
  item: ItemAnalysis,
  written: ExerciseItem | undefined,
  spelledIn: MajorKey | null,
  naming: NoteNaming,
  t: TFunction,
) {
  if (item.kind !== 'note') {
    const word = written?.kind === 'air' ? written.words?.at(0)?.text : undefined;
    return word ?? t(`item.${item.kind === 'rest' ? 'hold' : item.kind}`);
  }
  if (written?.kind !== 'note') return <NoteGlyph midi={item.writtenMidi} naming={naming} octave />;
  return <NamedNoteGlyph note={spelledIn ? { ...written, spelledIn } : written} naming={naming} />;
}

/** A line of notes, read note by note at arm's length: what the drill asks of each, and which of them stand out. */
export function LineTable({ exercise, analysis, naming, onHear }: LineTableProps) {
  const { t } = useTranslation();
  const rows = analysis.items.filter(({ verdict }) => verdict !== null);
  const score = exercise ? scoreOf(exercise) : [];
  const spelled = exercise ? playedPhrases(exercise).map(spellingKey) : [];
  const asked = exercise && familyOf(exercise)?.headline;
  const told = new Map(rows.map((item) => [item, figuresOf(item, analysis.playedBeats !== undefined, t)]));
  const columns = COLUMNS.filter(
    (column) =>
      column === 'note' ||
      column === 'verdict' ||
      ((!asked || ASKED[asked].includes(column)) && rows.some((item) => told.get(item)?.[column])),
  );
  return (
    <Box mt="7" overflowX="auto">
      <Heading as="h2" fontFamily="heading" fontSize="medium" mb="2">
        {t('drill.items')}
      </Heading>
      <chakra.table w="full" borderCollapse="collapse" fontSize="medium">
        <thead>
          <tr>
            {columns.map((column) => (
              <chakra.th
                key={column}
                scope="col"
                textAlign="left"
                fontWeight="400"
                fontSize="small"
                color="muted"
                pl={column === 'note' ? '3' : '0'}
                pr="5"
                pb="1"
              >
                {t(`line.${column}`)}
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((item) => {
            const { startSeconds: start, endSeconds: end } = item;
            const timed = score.at(item.item);
            const name = nameOf(item, timed?.item, timed ? spelled[timed.phrase] : null, naming, t);
            const standsOut = item.verdict?.findings.some((finding) => !isNeutral(finding)) ?? false;
            return (
              <chakra.tr
                key={item.item}
                data-item={item.item}
                data-stands-out={standsOut || undefined}
                borderTopWidth="1px"
                borderTopStyle="solid"
                borderTopColor="line"
                borderLeftWidth="4px"
                borderLeftStyle="solid"
                borderLeftColor={standsOut ? 'brass' : 'transparent'}
              >
                <chakra.th
                  scope="row"
                  textAlign="left"
                  fontFamily="heading"
                  fontWeight="400"
                  fontSize="large"
                  pl="3"
                  pr="5"
                  py="1"
                >
                  {start === null || end === null ? (
                    name
                  ) : (
                    <chakra.button
                      type="button"
                      minH="touch"
                      cursor="pointer"
                      textAlign="left"
                      display="flex"
                      alignItems="center"
                      gap="2"
                      onClick={() => onHear(Math.max(0, start - AROUND_SECONDS), end + AROUND_SECONDS)}
                    >
                      {name}
                      <Volume2 size={16} role="img" aria-label={t('line.hear')} />
                    </chakra.button>
                  )}
                </chakra.th>
                {columns.slice(1, -1).map((column) => (
                  <chakra.td key={column} pr="5" whiteSpace="nowrap">
                    {told.get(item)?.[column] ?? ''}
                  </chakra.td>
                ))}
                <chakra.td fontWeight={standsOut ? '700' : '400'} color={standsOut ? 'ink' : 'muted'}>
                  {item.verdict?.findings.map((finding) => findingText(finding, naming, t)).join(' ')}
                </chakra.td>
              </chakra.tr>
            );
          })}
        </tbody>
      </chakra.table>
    </Box>
  );
}
